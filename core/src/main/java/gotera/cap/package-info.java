/**
 * The pressure cap: the stamp on it and the limit it sets.
 *
 * <p>Not here: the pressure test that uses the limit.
 */
@NullMarked
package gotera.cap;

import org.jspecify.annotations.NullMarked;
