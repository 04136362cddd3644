/**
 * Waits over given instants, and how long things take to cool.
 *
 * <p>Not here: the clock, and who is told.
 */
@NullMarked
package gotera.timing;

import org.jspecify.annotations.NullMarked;
