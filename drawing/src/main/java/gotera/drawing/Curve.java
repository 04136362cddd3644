package gotera.drawing;

import gotera.pressure.FittedCurve;
import gotera.pressure.HoldConditions;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.PressureUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a drawing of pressure over time shows.
 *
 * @param runs the hold, or two of them over each other from the moment of closing the valve: before
 *     first, then after
 * @param rated rated pressure, where there is one to reach (kPa)
 * @param makerRule the maker's rule
 * @param unit unit of the pressure axis
 * @param words the words on it
 */
public record Curve(
    List<Run> runs,
    OptionalDouble rated,
    Optional<MakerRule> makerRule,
    PressureUnit unit,
    Words words) {
  /** Keeps its own copy. */
  public Curve {
    runs = List.copyOf(runs);
  }

  /**
   * One hold.
   *
   * @param trace its readings
   * @param valveShut when the valve was shut, on the trace's clock (s)
   * @param window the part that was used
   * @param fitted the fitted curve
   * @param name what it is called where there are two
   */
  public record Run(
      Trace trace,
      double valveShut,
      Optional<HoldConditions.Window> window,
      List<FittedCurve.Point> fitted,
      String name) {}

  /**
   * Words on the drawing.
   *
   * @param title what is read aloud
   * @param minutes name of the time axis
   * @param rated text at the rated pressure
   * @param makerRule text at the end of the maker's rule
   * @param temperature name of the temperature track
   * @param events text of an event by its word, as {@code word=text}
   */
  public record Words(
      String title,
      String minutes,
      String rated,
      String makerRule,
      String temperature,
      java.util.Map<String, String> events) {}
}
