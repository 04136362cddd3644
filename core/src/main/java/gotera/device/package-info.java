/**
 * Devices that write by themselves: what of their readings has come, and what their clocks say.
 *
 * <p>Not here: how they are spoken to, and what their readings mean.
 */
@NullMarked
package gotera.device;

import org.jspecify.annotations.NullMarked;
