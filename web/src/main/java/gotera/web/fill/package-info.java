/**
 * The fill account of a job: what went in and out, and the strength and loss that follow.
 *
 * <p>Not here: the arithmetic (refill, in the core) and bleeding.
 */
@NullMarked
package gotera.web.fill;

import org.jspecify.annotations.NullMarked;
