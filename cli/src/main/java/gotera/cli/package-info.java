/**
 * The command line: answers from files, without Spring and without a database.
 *
 * <p>Not here: reading formats (formats) and computing (core).
 */
@NullMarked
package gotera.cli;

import org.jspecify.annotations.NullMarked;
