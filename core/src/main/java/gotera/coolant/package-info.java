/**
 * Properties of water and glycol mixtures, one class per published correlation.
 *
 * <p>Not here: how much coolant a vehicle holds or what is to be filled in.
 */
@NullMarked
package gotera.coolant;

import org.jspecify.annotations.NullMarked;
