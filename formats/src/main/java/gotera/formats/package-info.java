/**
 * Reading and writing the open formats: traces as CSV, hold descriptions and results as JSON.
 *
 * <p>Not here: computing anything, and where files come from.
 */
@NullMarked
package gotera.formats;

import org.jspecify.annotations.NullMarked;
