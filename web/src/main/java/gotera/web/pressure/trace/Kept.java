package gotera.web.pressure.trace;

import java.util.UUID;

/**
 * A reading and where it is kept.
 *
 * @param block its block
 * @param index its place in the block
 * @param seconds when (s)
 * @param gauge the gauge (kPa)
 * @param celsius the temperature (°C), not a number where none was read
 * @param fromFile whether it came with a file
 */
public record Kept(
    UUID block, int index, double seconds, double gauge, double celsius, boolean fromFile) {}
