/**
 * Curves, circuits, verdict shapes and the balance as SVG: renderers over the core's immutable
 * models, which do not know them. Colours are classes of the style sheet; words come from the
 * caller.
 *
 * <p>Not here: what the figures mean, and the pages around the drawings.
 */
@NullMarked
package gotera.drawing;

import org.jspecify.annotations.NullMarked;
