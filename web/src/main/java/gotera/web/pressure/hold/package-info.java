/**
 * The page of a test that is pumped, holds or is finished: the pad, the curve, the readings.
 *
 * <p>Not here: setting a test up and planning one.
 */
@NullMarked
package gotera.web.pressure.hold;

import org.jspecify.annotations.NullMarked;
