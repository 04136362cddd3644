/**
 * Links handed to a customer: each opens one page of one job, without an account, until it ends or
 * is withdrawn.
 *
 * <p>Not here: what such a page says (report, decide).
 */
@NullMarked
package gotera.web.link;

import org.jspecify.annotations.NullMarked;
