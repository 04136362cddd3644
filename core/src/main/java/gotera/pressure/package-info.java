/**
 * The pressure test as a whole: from a curve to a rate with its uncertainty and a verdict.
 *
 * <p>Not here: the parts it is made of, which are its sub-packages: trace, law, compliance,
 * verdict.
 */
@NullMarked
package gotera.pressure;

import org.jspecify.annotations.NullMarked;
