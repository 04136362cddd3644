/**
 * What gauge and thermometer said, and when; never changed after it was read.
 *
 * <p>Not here: files and databases that traces come from.
 */
@NullMarked
package gotera.pressure.trace;

import org.jspecify.annotations.NullMarked;
