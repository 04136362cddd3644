/**
 * The guided watch of bubbles in a funnel.
 *
 * <p>Not here: whether air leaves or gas comes in ({@code gotera.bubble}).
 */
@NullMarked
package gotera.web.bubble;

import org.jspecify.annotations.NullMarked;
