/**
 * Sums of the bench that need no job: pressures in every unit, boiling and freezing, a mix.
 *
 * <p>Not here: what a job keeps of them.
 */
@NullMarked
package gotera.web.tools;

import org.jspecify.annotations.NullMarked;
