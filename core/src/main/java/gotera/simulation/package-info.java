/**
 * A stand-in vehicle: the physics forward, written apart from the estimator.
 *
 * <p>For demonstration data and tests. Not here: anything the estimator uses.
 */
@NullMarked
package gotera.simulation;

import org.jspecify.annotations.NullMarked;
