/**
 * The records of a whole job as a format of its own: which tables and members there are, and what
 * each may hold. It stays as it is when the database changes.
 *
 * <p>Not here: the database, and what the records mean together.
 */
@NullMarked
package gotera.formats.records;

import org.jspecify.annotations.NullMarked;
