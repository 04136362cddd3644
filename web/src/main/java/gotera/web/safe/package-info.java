/**
 * Making safe: is it soft, is it cold, may this person open it.
 *
 * <p>Not here: the wait until it is cold (timer).
 */
@NullMarked
package gotera.web.safe;

import org.jspecify.annotations.NullMarked;
