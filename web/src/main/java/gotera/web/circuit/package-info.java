/**
 * What was seen at the joints of a job's circuit.
 *
 * <p>Not here: how much of the leak that explains (evidence).
 */
@NullMarked
package gotera.web.circuit;

import org.jspecify.annotations.NullMarked;
