/**
 * What shows whether a report or a job's file is as it was handed out: the chain of what was done,
 * the installation's signature, and their check, which needs neither server nor database.
 *
 * <p>Not here: what is in a report or a file (their writers), who may read it (web).
 */
@NullMarked
package gotera.formats.signed;

import org.jspecify.annotations.NullMarked;
