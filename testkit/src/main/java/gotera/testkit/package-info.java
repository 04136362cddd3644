/**
 * Test support that knows none of the product's types: closeness with unit and tolerance, a clock
 * set by hand, seeded cases.
 *
 * <p>Not here: anything that needs a type of core or web.
 */
@NullMarked
package gotera.testkit;

import org.jspecify.annotations.NullMarked;
