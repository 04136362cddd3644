/**
 * Standard uncertainties, their budget, and the decision limits that follow from them.
 *
 * <p>Not here: where an uncertainty comes from; that stays with the measurement.
 */
@NullMarked
package gotera.uncertainty;

import org.jspecify.annotations.NullMarked;
