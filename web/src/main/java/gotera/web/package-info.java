/**
 * The application. One folder per feature; see each.
 *
 * <p>Not here: anything true without a browser, a database or a user (core).
 */
@NullMarked
package gotera.web;

import org.jspecify.annotations.NullMarked;
