/**
 * What was repaired.
 *
 * <p>Not here: whether it helped (retest).
 */
@NullMarked
package gotera.web.repair;

import org.jspecify.annotations.NullMarked;
