/**
 * Bubbles in a funnel on the filler: what the level does net of warming and topping up, and whether
 * air leaves or gas comes in.
 *
 * <p>Not here: its likelihoods ({@code suspects}).
 */
@NullMarked
package gotera.bubble;

import org.jspecify.annotations.NullMarked;
