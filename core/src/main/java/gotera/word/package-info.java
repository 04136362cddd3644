/**
 * Choices that are written down: each has one word, the same in files, forms, tables and messages.
 *
 * <p>Not here: the choices themselves, which belong to what they are about.
 */
@NullMarked
package gotera.word;

import org.jspecify.annotations.NullMarked;
