/**
 * Fits that know neither coolant nor pressure: linear Gaussian posteriors, truncation.
 *
 * <p>Not here: what the columns of a design mean. Only this package and {@code uncertainty} may use
 * Hipparchus.
 */
@NullMarked
package gotera.fitting;

import org.jspecify.annotations.NullMarked;
