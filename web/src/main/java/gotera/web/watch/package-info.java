/**
 * Figures of the workshop for whoever watches the machine: beside memory and threads, what a
 * workshop would miss.
 *
 * <p>Not here: whether one process can serve (health), which every part says for itself.
 */
@NullMarked
package gotera.web.watch;

import org.jspecify.annotations.NullMarked;
