/**
 * How anything is written: identifiers, entries sent twice, short transactions, columns of words.
 *
 * <p>Not here: any table.
 */
@NullMarked
package gotera.web.storage;

import org.jspecify.annotations.NullMarked;
