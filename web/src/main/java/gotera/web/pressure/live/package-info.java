/**
 * A test that runs, to be read from afar: big digits, what is known so far, and what must be heard.
 *
 * <p>Not here: entering readings, and verdicts.
 */
@NullMarked
package gotera.web.pressure.live;

import org.jspecify.annotations.NullMarked;
