/**
 * What trapped air and hoses give per kilopascal, and the volume lost between two moments.
 *
 * <p>Not here: leak rates; those need time.
 */
@NullMarked
package gotera.pressure.compliance;

import org.jspecify.annotations.NullMarked;
