/**
 * Looking: what a visual check may claim, and what a drip says.
 *
 * <p>Not here: the way from a drip to the joints above it (circuit).
 */
@NullMarked
package gotera.look;

import org.jspecify.annotations.NullMarked;
