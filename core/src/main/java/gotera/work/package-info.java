/**
 * The order of the work: the steps of a job, how far each is, and which comes next.
 *
 * <p>Not here: what is done at a step, and how it is shown.
 */
@NullMarked
package gotera.work;

import org.jspecify.annotations.NullMarked;
