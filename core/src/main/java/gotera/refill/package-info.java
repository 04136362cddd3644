/**
 * What goes in and out of a system, and what has to go in: fill account and mix.
 *
 * <p>Not here: properties of the mixture (coolant).
 */
@NullMarked
package gotera.refill;

import org.jspecify.annotations.NullMarked;
