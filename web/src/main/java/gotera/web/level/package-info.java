/**
 * Marks of the level in the tank, and the rate they amount to.
 *
 * <p>Not here: when somebody is reminded to look again.
 */
@NullMarked
package gotera.web.level;

import org.jspecify.annotations.NullMarked;
