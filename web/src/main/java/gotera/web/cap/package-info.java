/**
 * The cap of a job and the limit it sets.
 *
 * <p>Not here: the limit's use in a pressure test.
 */
@NullMarked
package gotera.web.cap;

import org.jspecify.annotations.NullMarked;
