package gotera.web.pressure;

import java.util.UUID;

/**
 * A test that cannot be read.
 *
 * @param id its identifier
 * @param phase what it is for
 * @param number its number
 * @param why what is wrong with it
 */
public record Broken(UUID id, Phase phase, int number, String why) {}
