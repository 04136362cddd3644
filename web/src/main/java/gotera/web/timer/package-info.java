/**
 * Waits of all jobs: cool-down, soak, dye, cure, purge, next morning. They live in the database, so
 * that they survive restarts and every device sees the same.
 *
 * <p>Not here: how long something takes (timing, in the core).
 */
@NullMarked
package gotera.web.timer;

import org.jspecify.annotations.NullMarked;
