/**
 * Planning a test: how long, on which gauge, what it can show.
 *
 * <p>Not here: the computation (core).
 */
@NullMarked
package gotera.web.pressure.plan;

import org.jspecify.annotations.NullMarked;
