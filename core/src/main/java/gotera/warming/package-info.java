/**
 * An engine that warms: when it will be how warm, how its coolant climbs meanwhile, what the
 * temperatures of two hoses say of its thermostat.
 *
 * <p>Not here: how it cools ({@code timing}), and the checks that wait for it.
 */
@NullMarked
package gotera.warming;

import org.jspecify.annotations.NullMarked;
