/**
 * The figures of the house: how long files and methods are, how many parameters they take, which
 * numbers stand where, how much of the code is tests. Read from the sources, of whatever project.
 */
@NullMarked
package gotera.testkit.house;

import org.jspecify.annotations.NullMarked;
