/**
 * One vehicle at one visit: intake, the front page, the rail of steps.
 *
 * <p>Not here: the steps themselves; each is a feature of its own that reports here.
 */
@NullMarked
package gotera.web.job;

import org.jspecify.annotations.NullMarked;
