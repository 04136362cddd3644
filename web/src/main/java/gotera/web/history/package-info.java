/**
 * Who did what when, from Hibernate Envers and from rows that are written once.
 *
 * <p>Not here: what a feature's entries mean; each feature tells its own history through {@link
 * gotera.web.history.HistorySource}.
 */
@NullMarked
package gotera.web.history;

import org.jspecify.annotations.NullMarked;
