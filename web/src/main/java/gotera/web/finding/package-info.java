/**
 * The log of a job: everything seen, done or put in that has no table of its own, in order of time.
 * What a row means is said by the feature whose check it names.
 *
 * <p>Not here: looks at joints (circuit), curves (pressure), marks of the level (level).
 */
@NullMarked
package gotera.web.finding;

import org.jspecify.annotations.NullMarked;
