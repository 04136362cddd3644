/**
 * A needle read from a picture of its dial: where it points, how sure that is, or why it is not
 * read.
 *
 * <p>Not here: cameras, files of pictures, and what a reading is for.
 */
@NullMarked
package gotera.dial;

import org.jspecify.annotations.NullMarked;
