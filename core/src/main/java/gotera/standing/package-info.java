/**
 * What is concluded of a job as a whole: once, from everything known of it, by when it happened.
 *
 * <p>Not here: what one test, look or check says.
 */
@NullMarked
package gotera.standing;

import org.jspecify.annotations.NullMarked;
