/**
 * The circuit of a vehicle, built from its engine type, and what was seen at its joints.
 *
 * <p>Not here: how much of the leak that explains (evidence).
 */
@NullMarked
package gotera.web.circuit;

import org.jspecify.annotations.NullMarked;
