/**
 * Verdicts as they were given, in versioned records of their own.
 *
 * <p>Not here: giving a verdict (core) and its words.
 */
@NullMarked
package gotera.web.pressure.verdict;

import org.jspecify.annotations.NullMarked;
