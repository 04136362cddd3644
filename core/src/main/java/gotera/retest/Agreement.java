package gotera.retest;

import gotera.pressure.PressureTestResult;
import gotera.pressure.PressureTestResult.Rate;
import gotera.uncertainty.DecisionLimits;
import java.util.Optional;

/**
 * Whether two tests of the same system, by another technician or another tester, say the same.
 *
 * @param difference the second rate less the first (mL/min)
 * @param u its standard uncertainty, the tests being independent (mL/min)
 */
public record Agreement(double difference, double u) {
  /** Of two results; empty where one has no rate, or where one is of air and one of coolant. */
  public static Optional<Agreement> of(PressureTestResult first, PressureTestResult second) {
    if (first.rate().isEmpty() || second.rate().isEmpty()) {
      return Optional.empty();
    }
    Rate a = first.rate().get();
    Rate b = second.rate().get();
    return a.asCoolant().isPresent() == b.asCoolant().isPresent()
        ? Optional.of(new Agreement(b.rate() - a.rate(), Math.hypot(a.u(), b.u())))
        : Optional.empty();
  }

  /** Whether the difference is within its 95 % interval. */
  public boolean agree() {
    return Math.abs(difference) <= DecisionLimits.halfWidth(u);
  }
}
