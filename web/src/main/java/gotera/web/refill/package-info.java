/**
 * The refill: what goes in, how much of it, the steps by which air leaves, the end of the purge.
 *
 * <p>Not here: the account of what went in and out (fill), the watch of the funnel (bubble).
 */
@NullMarked
package gotera.web.refill;

import org.jspecify.annotations.NullMarked;
