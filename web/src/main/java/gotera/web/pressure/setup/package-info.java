/**
 * Setting a test up: what is typed, what is taken from before.
 *
 * <p>Not here: defaults and their sources (core).
 */
@NullMarked
package gotera.web.pressure.setup;

import org.jspecify.annotations.NullMarked;
