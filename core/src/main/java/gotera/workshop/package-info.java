/**
 * What a workshop's own jobs come to: how many came back, how many were proven, how long it took,
 * what leaked.
 *
 * <p>Not here: what they say of the odds of the next job (suspects).
 */
@NullMarked
package gotera.workshop;

import org.jspecify.annotations.NullMarked;
