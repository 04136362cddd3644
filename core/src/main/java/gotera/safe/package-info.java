/**
 * Whether a system may be opened.
 *
 * <p>Not here: how it cools (timing).
 */
@NullMarked
package gotera.safe;

import org.jspecify.annotations.NullMarked;
