/**
 * Dye: where it has flowed, and what glow means against what glowed before.
 *
 * <p>Not here: how well a lamp sees (a number of the vocabulary).
 */
@NullMarked
package gotera.dye;

import org.jspecify.annotations.NullMarked;
