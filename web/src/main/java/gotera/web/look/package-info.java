/**
 * The visual check: every place of the circuit, likeliest and cheapest first, from above and then
 * from below, with one touch for each.
 *
 * <p>Not here: what was seen at a joint (circuit) and what it says (evidence).
 */
@NullMarked
package gotera.web.look;

import org.jspecify.annotations.NullMarked;
