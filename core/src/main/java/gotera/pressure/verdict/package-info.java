/**
 * What a rate with its uncertainty allows one to say, in classes, with the reasons.
 *
 * <p>Not here: the estimate itself.
 */
@NullMarked
package gotera.pressure.verdict;

import org.jspecify.annotations.NullMarked;
