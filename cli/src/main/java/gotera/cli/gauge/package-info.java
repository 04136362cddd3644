/**
 * The stand-in for a gauge that writes by itself: a process of its own, with a buffer on its disk.
 * All it reads is simulated, and it says so.
 *
 * <p>Not here: the physics, which is the core's stand-in vehicle.
 */
@NullMarked
package gotera.cli.gauge;

import org.jspecify.annotations.NullMarked;
