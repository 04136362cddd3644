package gotera.pressure;

import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.trace.Trace;
import gotera.quantity.AbsolutePressure;
import gotera.uncertainty.DecisionLimits;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How long a hold that runs must go on: the plan renewed with what the curve has shown of air,
 * hoses and temperature.
 *
 * @param minutes left (min), zero where it was long enough; empty where no hold of up to {@value
 *     TestPlan#LONGEST} min proves it
 * @param detection what would be found now (mL/min); infinite where nothing is known yet
 */
public record ToGo(OptionalDouble minutes, double detection) {
  /**
   * Readings of a plan are taken no closer together (min) (our judgement): closer ones say little
   * more, and the plan errs on the safe side.
   */
  private static final double CLOSEST = 0.1;

  /** What is left of a hold; empty before there is a rate. */
  public static Optional<ToGo> of(
      Trace trace, HoldConditions conditions, PressureTestResult result) {
    return result.rate().flatMap(rate -> of(trace, conditions, result, rate));
  }

  private static Optional<ToGo> of(
      Trace trace, HoldConditions conditions, PressureTestResult result, Rate rate) {
    double shut = HoldWindow.shut(trace, conditions);
    int n = result.window().map(w -> trace.between(w.from(), w.to()).size()).orElse(0);
    double dry =
        conditions.rated().above(conditions.atmosphere()).kilopascals()
            - conditions.coolant().vapourPressure(conditions.ambient()).kilopascals();
    if (n < 2 || !Double.isFinite(shut) || !(dry > 0)) {
      return Optional.empty();
    }
    // a valve that is said to be shut after the last reading has held nothing yet
    double minutes = Math.max(0, (trace.seconds(trace.size() - 1) - shut) / 60);
    double pressed =
        result
            .window()
            .map(w -> trace.between(w.from(), w.to()))
            .map(HoldParts.before(trace, conditions)::pressedMinutes)
            .orElse(0.0);
    TestPlan plan =
        new TestPlan(
            conditions.gauge(),
            Math.max(CLOSEST, minutes / n),
            conditions.airAndHoses(),
            new AbsolutePressure(dry),
            conditions.rated().kilopascals(),
            rate.thermalSensitivity(),
            rate.drift(),
            rate.driftU(),
            Optional.empty(),
            pressed);
    OptionalDouble whole = plan.shortest(conditions.acceptance().limit());
    DecisionLimits now = rate.limits();
    return Optional.of(
        new ToGo(
            whole.isPresent()
                ? OptionalDouble.of(Math.max(0, whole.getAsDouble() - minutes))
                : OptionalDouble.empty(),
            now.detection()));
  }
}
