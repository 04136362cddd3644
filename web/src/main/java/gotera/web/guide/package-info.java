/**
 * Checks that are led step by step: their steps as they were written, and what a page of one shows.
 *
 * <p>Not here: what a step means, which belongs to the check.
 */
@NullMarked
package gotera.web.guide;

import org.jspecify.annotations.NullMarked;
