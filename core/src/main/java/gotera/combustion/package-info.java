/**
 * The check for combustion gas in the coolant: its steps, when it counts, what it means, and the
 * colour of its fluid measured.
 *
 * <p>Not here: its likelihoods ({@code suspects}), how the engine warms ({@code warming}).
 */
@NullMarked
package gotera.combustion;

import org.jspecify.annotations.NullMarked;
