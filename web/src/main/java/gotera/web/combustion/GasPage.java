package gotera.web.combustion;

import gotera.web.guide.Clock;
import gotera.web.guide.GuideService.StepLine;
import java.util.List;
import java.util.Optional;

/**
 * What the page of the gas check shows.
 *
 * @param move word of the move that comes now
 * @param number its number, from 1
 * @param moves how many there are
 * @param diesel whether diesel is burnt: it turns green, petrol yellow
 * @param clocks what runs down
 * @param neck what the level does, in words
 * @param gap gap that was read last (mm)
 * @param pushed whether the level climbs faster than it warms
 * @param spoilt why this filling does not count
 * @param says word of the result, empty while it is open
 * @param setUp whether the tester's place is known
 * @param ended whether the run was ended
 * @param lines the steps in words, the newest first
 */
record GasPage(
    String move,
    int number,
    int moves,
    boolean diesel,
    List<Clock> clocks,
    List<String> neck,
    Optional<Double> gap,
    boolean pushed,
    List<String> spoilt,
    String says,
    boolean setUp,
    boolean ended,
    List<StepLine> lines) {
  /** Share of the gap that is left, for the drawing: all of it at 80 mm (percent). */
  public int gapShown() {
    return (int) Math.round(Math.max(4, Math.min(92, gap.orElse(0.0) * 92 / 80)));
  }
}
