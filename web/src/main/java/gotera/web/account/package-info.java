/**
 * Who is signed in and what they may do.
 *
 * <p>Not here: what was done; each entry carries its own writer.
 */
@NullMarked
package gotera.web.account;

import org.jspecify.annotations.NullMarked;
