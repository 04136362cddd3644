/**
 * What leaves the workshop: the report, the customer's link to it, and tables.
 *
 * <p>Not here: what the report says of the re-test (retest).
 */
@NullMarked
package gotera.web.report;

import org.jspecify.annotations.NullMarked;
