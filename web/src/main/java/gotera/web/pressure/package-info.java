/**
 * What everybody may ask a pressure test of a job: begin it, read it, seal it, and what it says.
 *
 * <p>Not here: arithmetic (core), drawing (drawing), pages and forms (the rooms below).
 */
@NullMarked
package gotera.web.pressure;

import org.jspecify.annotations.NullMarked;
