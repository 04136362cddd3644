/**
 * How a leak answers to pressure, and the size of the hole that would leak as much.
 *
 * <p>Not here: estimating a rate.
 */
@NullMarked
package gotera.pressure.law;

import org.jspecify.annotations.NullMarked;
