/**
 * Figures and units as read and typed: the units of a person, fields and what is wrong in them, two
 * versions of one form.
 *
 * <p>Not here: rules of the trade (core) and which unit a quantity has (core).
 */
@NullMarked
package gotera.web.figures;

import org.jspecify.annotations.NullMarked;
