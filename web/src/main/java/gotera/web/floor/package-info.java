/**
 * The whole floor at a glance: what runs, what waits, what can be worked on now.
 *
 * <p>Not here: doing any of it.
 */
@NullMarked
package gotera.web.floor;

import org.jspecify.annotations.NullMarked;
