package gotera.pressure;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A hold after it was pressed for a while and pumped up again: hoses that were pressed creep little
 * more.
 *
 * @param pressed how long it is pressed first (min)
 * @param held how long it is held then (min)
 */
public record PressedFirst(double pressed, double held) {
  /** Times of pressing that are tried before a second pump-up (min) (our judgement, untested). */
  private static final double[] PRESSED = {10, 15, 20, 30};

  /**
   * Pressing first, where that is shorter altogether than one hold, or where in one hold the
   * pressure would fall too far for a tight verdict.
   */
  public static Optional<PressedFirst> of(TestPlan plan, double acceptance) {
    OptionalDouble once = plan.shortest(acceptance);
    boolean stays =
        once.isPresent() && plan.pressureLeft(once.getAsDouble()) >= TestPlan.PRESSURE_LEFT;
    double most = stays ? once.getAsDouble() : Double.POSITIVE_INFINITY;
    Optional<PressedFirst> best = Optional.empty();
    for (double minutes : PRESSED) {
      TestPlan after = plan.pressed(minutes);
      OptionalDouble held = after.shortest(acceptance);
      if (held.isPresent() && after.pressureLeft(held.getAsDouble()) >= TestPlan.PRESSURE_LEFT) {
        PressedFirst again = new PressedFirst(minutes, held.getAsDouble());
        if (again.all() < best.map(PressedFirst::all).orElse(most)) {
          best = Optional.of(again);
        }
      }
    }
    return best;
  }

  /** Both together (min). */
  double all() {
    return pressed + held;
  }
}
