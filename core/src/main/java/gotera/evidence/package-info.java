/**
 * From findings to suspects: one binary fault for each place, and what is known after each finding.
 *
 * <p>Not here: the checks. Each check states what it saw as a {@link gotera.evidence.Evidence}.
 */
@NullMarked
package gotera.evidence;

import org.jspecify.annotations.NullMarked;
