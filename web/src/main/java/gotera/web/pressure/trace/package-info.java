/**
 * Traces as they are kept: packed blocks of readings, events, corrections that supersede.
 *
 * <p>Not here: what a trace means (core) and which test it is of.
 */
@NullMarked
package gotera.web.pressure.trace;

import org.jspecify.annotations.NullMarked;
