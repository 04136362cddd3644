/**
 * The cooling circuit of a vehicle as an immutable graph: parts, joints, lines, with plain
 * coordinates.
 *
 * <p>Not here: what was seen at a joint (a finding of a check) and how the circuit is drawn.
 */
@NullMarked
package gotera.circuit;

import org.jspecify.annotations.NullMarked;
