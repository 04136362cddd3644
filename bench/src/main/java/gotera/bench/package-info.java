/**
 * Measurements of the computation.
 *
 * <p>Not here: anything that is shipped or tested.
 */
@NullMarked
package gotera.bench;

import org.jspecify.annotations.NullMarked;
