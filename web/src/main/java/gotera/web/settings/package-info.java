/**
 * What whoever installs can set, checked before anything starts.
 *
 * <p>Not here: what a person or a workshop's lead sets on a page.
 */
@NullMarked
package gotera.web.settings;

import org.jspecify.annotations.NullMarked;
