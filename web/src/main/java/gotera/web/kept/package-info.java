/**
 * Pages that are made once: what a page shows is its model, so that equal models make equal pages.
 *
 * <p>Not here: what any page shows, and anything that is worked out for it.
 */
@NullMarked
package gotera.web.kept;

import org.jspecify.annotations.NullMarked;
