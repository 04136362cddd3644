/**
 * From what was told, seen and measured on a job to the suspects: the one way, for pages and files
 * alike.
 *
 * <p>Belongs here: observations, what each means as a likelihood, which of them count, the flags of
 * the trade, and the published vocabulary with its numbers. Not here: how likelihoods are weighed
 * (evidence).
 */
@NullMarked
package gotera.suspects;

import org.jspecify.annotations.NullMarked;
