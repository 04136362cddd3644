/**
 * What was said while hands were full: a recording that belongs to a line.
 *
 * <p>Not here: what it belongs to (repair).
 */
@NullMarked
package gotera.web.voice;

import org.jspecify.annotations.NullMarked;
