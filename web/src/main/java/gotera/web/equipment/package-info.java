/**
 * What the workshop measures with: testers, gauges, pumps, thermometers and adapters, and the
 * testers' checks against a plug.
 *
 * <p>Not here: the tests made with them.
 */
@NullMarked
package gotera.web.equipment;

import org.jspecify.annotations.NullMarked;
