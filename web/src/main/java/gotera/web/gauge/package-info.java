/**
 * Gauges that write by themselves: pairing, what they send, where they stand, and who watches.
 *
 * <p>Not here: what readings mean, and how they are kept in a trace.
 */
@NullMarked
package gotera.web.gauge;

import org.jspecify.annotations.NullMarked;
