/**
 * What a hold is described with, what stands for the parts nobody described, and what the holds
 * before it mean for it.
 *
 * <p>Belongs here: the description, its defaults with where each comes from, the usual values a
 * description begins with. Not here: reading and writing files, and the computation itself.
 */
@NullMarked
package gotera.pressure.setup;

import org.jspecify.annotations.NullMarked;
