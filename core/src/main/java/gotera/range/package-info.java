/**
 * What a figure that a person, a file or a database holds may be: one ruleset for forms, readers
 * and storage alike.
 *
 * <p>Not here: how a figure is typed (quantity), and rules between several figures.
 */
@NullMarked
package gotera.range;

import org.jspecify.annotations.NullMarked;
