/**
 * Sums of the bench that need no job: pressures in every unit, a cap on its tester, boiling and
 * freezing, a mix; and how a job keeps them.
 *
 * <p>Not here: the plan of a hold, which stands with the pressure tests.
 */
@NullMarked
package gotera.web.tools;

import org.jspecify.annotations.NullMarked;
