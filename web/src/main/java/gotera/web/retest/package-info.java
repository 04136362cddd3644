/**
 * The test after a repair: before and after, the statement of zero or what is missing, its print.
 *
 * <p>Not here: taking the readings (pressure).
 */
@NullMarked
package gotera.web.retest;

import org.jspecify.annotations.NullMarked;
