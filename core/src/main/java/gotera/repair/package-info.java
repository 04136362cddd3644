/**
 * The repair: what comes off and goes back, how much liquid comes, what each opened joint becomes,
 * checks of the craft, times that must pass.
 *
 * <p>Not here: which repair (decide); what is poured in afterwards (refill).
 */
@NullMarked
package gotera.repair;

import org.jspecify.annotations.NullMarked;
