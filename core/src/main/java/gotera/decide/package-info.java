/**
 * What to do about what was found: repairs in the order that costs least to expect.
 *
 * <p>Not here: prices themselves, and how likely a fault is ({@code evidence}).
 */
@NullMarked
package gotera.decide;

import org.jspecify.annotations.NullMarked;
