/**
 * The guided check for combustion gas.
 *
 * <p>Not here: when it counts ({@code gotera.combustion}), what it means for the suspects.
 */
@NullMarked
package gotera.web.combustion;

import org.jspecify.annotations.NullMarked;
