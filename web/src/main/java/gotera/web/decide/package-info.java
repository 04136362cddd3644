/**
 * Decide: ways to repair by expected cost, the shop's prices, the customer's sheet with its
 * decisions and consents, tags for the vehicle.
 *
 * <p>Not here: what a way costs to expect ({@code gotera.decide}).
 */
@NullMarked
package gotera.web.decide;

import org.jspecify.annotations.NullMarked;
