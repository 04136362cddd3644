/**
 * The workshop's page: what its jobs came to, and whether its own record speaks beside the model's
 * priors.
 *
 * <p>Not here: the reckoning (core).
 */
@NullMarked
package gotera.web.workshop;

import org.jspecify.annotations.NullMarked;
