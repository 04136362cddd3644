/**
 * The chain of what was done in each job, and the key by which this installation signs.
 *
 * <p>Not here: how a chain is bound and checked (formats), what is signed (report, archive).
 */
@NullMarked
package gotera.web.chain;

import org.jspecify.annotations.NullMarked;
