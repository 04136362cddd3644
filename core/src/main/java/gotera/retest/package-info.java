/**
 * What a test after a repair proves, and what it does not.
 *
 * <p>Not here: the test itself.
 */
@NullMarked
package gotera.retest;

import org.jspecify.annotations.NullMarked;
