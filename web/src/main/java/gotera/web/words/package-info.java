/**
 * Words from the messages.
 *
 * <p>Not here: figures, and any text of its own.
 */
@NullMarked
package gotera.web.words;

import org.jspecify.annotations.NullMarked;
