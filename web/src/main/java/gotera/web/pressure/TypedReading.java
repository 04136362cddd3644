package gotera.web.pressure;

import gotera.web.pressure.trace.Reading;
import java.util.UUID;

/**
 * A reading as it was entered.
 *
 * @param entry its identifier: sent again, it is not added twice
 * @param reading what was read
 * @param timeTyped whether its time was typed
 * @param later whether it is written down afterwards, ahead of the clock
 */
public record TypedReading(UUID entry, Reading reading, boolean timeTyped, boolean later) {}
