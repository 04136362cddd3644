/**
 * Vehicles with hidden leaks that answer every check, made up apart from the tables that suspects
 * are ranked by: to measure advice in a closed loop, and to practise. Every number here is our
 * judgement, untested, and none of them is taken from those tables.
 *
 * <p>Not here: what is concluded from the answers.
 */
@NullMarked
package gotera.practice;

import org.jspecify.annotations.NullMarked;
