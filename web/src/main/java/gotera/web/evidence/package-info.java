/**
 * So far: how much a job loses, how much of that was found, what comes next.
 *
 * <p>Not here: any finding of its own; it reads those of the other features.
 */
@NullMarked
package gotera.web.evidence;

import org.jspecify.annotations.NullMarked;
