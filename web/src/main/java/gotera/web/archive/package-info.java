/**
 * A whole job as one file: everything that was written of it, to be put in place elsewhere exactly
 * as it was.
 *
 * <p>Not here: the file's signature and its check (formats), what a report says (report).
 */
@NullMarked
package gotera.web.archive;

import org.jspecify.annotations.NullMarked;
