/**
 * Photographs: read from an upload, written anew, kept and shown.
 *
 * <p>Not here: what a photograph shows (the finding it hangs on).
 */
@NullMarked
package gotera.web.photo;

import org.jspecify.annotations.NullMarked;
