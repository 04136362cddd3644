/**
 * What is shipped from others: who made it, under which licence, with its text. Run by the build.
 */
@NullMarked
package gotera.testkit.notices;

import org.jspecify.annotations.NullMarked;
