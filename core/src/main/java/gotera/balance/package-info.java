/**
 * Leak sites and how much of the measured rate they explain.
 *
 * <p>Not here: where the sites are drawn.
 */
@NullMarked
package gotera.balance;

import org.jspecify.annotations.NullMarked;
