/**
 * The frame around every page, and pages that are an answer: not found, wrong input, the address
 * for a phone.
 *
 * <p>Not here: anything that knows a job.
 */
@NullMarked
package gotera.web.frame;

import org.jspecify.annotations.NullMarked;
