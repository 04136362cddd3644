/**
 * The frame around every page: words, figures and units, identifiers, security headers, errors.
 *
 * <p>Not here: anything that knows a job.
 */
@NullMarked
package gotera.web.shell;

import org.jspecify.annotations.NullMarked;
