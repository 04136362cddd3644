/**
 * Pressure tests of a job: set-up, readings, events, the sealed trace and its verdict.
 *
 * <p>Not here: arithmetic (core) and drawing (drawing).
 */
@NullMarked
package gotera.web.pressure;

import org.jspecify.annotations.NullMarked;
