/**
 * Checks of the inside and of fluids: gas, bubbles, cylinders, oil, the two hoses, the hiss.
 *
 * <p>Not here: what a finding means for the suspects.
 */
@NullMarked
package gotera.web.inside;

import org.jspecify.annotations.NullMarked;
