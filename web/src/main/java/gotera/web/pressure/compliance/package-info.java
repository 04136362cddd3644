/**
 * What a draw and counted strokes were typed as.
 *
 * <p>Not here: what they say of air and hoses (core).
 */
@NullMarked
package gotera.web.pressure.compliance;

import org.jspecify.annotations.NullMarked;
