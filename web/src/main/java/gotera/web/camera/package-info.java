/**
 * A needle read by a camera: the dial as it was touched, frames, and pictures kept as evidence.
 *
 * <p>Not here: finding the needle, which is the core's.
 */
@NullMarked
package gotera.web.camera;

import org.jspecify.annotations.NullMarked;
