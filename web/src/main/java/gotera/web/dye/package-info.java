/**
 * Dye: what glowed before it went in, where it has flowed, and what glows since.
 *
 * <p>Not here: what a glow says about the suspects (evidence).
 */
@NullMarked
package gotera.web.dye;

import org.jspecify.annotations.NullMarked;
