/**
 * Quantities as types, their units, the only unit conversions, and the reading of what people type.
 *
 * <p>Not here: what a quantity means for a job (a cap's rating, a leak's rate at its limit).
 */
@NullMarked
package gotera.quantity;

import org.jspecify.annotations.NullMarked;
