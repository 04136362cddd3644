/**
 * The demonstration workshop, loaded where a password for its accounts is given.
 *
 * <p>Not here: anything a real workshop would run. Its curves are simulated and say so.
 */
@NullMarked
package gotera.web.demo;

import org.jspecify.annotations.NullMarked;
