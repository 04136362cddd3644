/**
 * Coolant in a cylinder: how much lies over the piston, and the rate it came at.
 *
 * <p>Not here: what a wet cylinder means for the suspects.
 */
@NullMarked
package gotera.cylinder;

import org.jspecify.annotations.NullMarked;
