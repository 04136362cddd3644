/**
 * Time and cost of a job: labour, parts and fluid; tools and needless work apart.
 *
 * <p>Not here: what a repair is expected to cost (decide).
 */
@NullMarked
package gotera.web.work;

import org.jspecify.annotations.NullMarked;
