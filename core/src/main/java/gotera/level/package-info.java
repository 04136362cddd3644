/**
 * The level in the tank as a measurement: what a mark says of a loss over days.
 *
 * <p>Not here: when to look again.
 */
@NullMarked
package gotera.level;

import org.jspecify.annotations.NullMarked;
