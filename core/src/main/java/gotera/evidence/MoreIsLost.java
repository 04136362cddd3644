package gotera.evidence;

import java.util.function.BiPredicate;

/**
 * More is lost than a test measured: then a fault is there that the test did not exercise.
 * One-sided: where no more is lost, nothing follows.
 */
public final class MoreIsLost implements Evidence {
  /** Below it the two agree: one-sided 95 %. */
  public static final double CRITICAL = 1.645;

  /** A hundredth is flat, so that no complaint decides alone (our judgement, untested). */
  private static final double FLAT_SHARE = 0.01;

  private final Label label;
  private final double without;
  private final BiPredicate<String, Mode> idle;

  /**
   * A loss that is larger than what was measured.
   *
   * @param label what it is called
   * @param apart by how many standard uncertainties more is lost
   * @param idle whether a fault of a place, in a mode, was not exercised by the test
   */
  public MoreIsLost(Label label, double apart, BiPredicate<String, Mode> idle) {
    double beyond = Math.max(0, apart * apart - CRITICAL * CRITICAL);
    this.label = label;
    this.without = (1 - FLAT_SHARE) * Math.exp(-0.5 * beyond) + FLAT_SHARE;
    this.idle = idle;
  }

  @Override
  public Label label() {
    return label;
  }

  @Override
  public double none() {
    return without;
  }

  @Override
  public double one(String place, Mode mode) {
    return idle.test(place, mode) ? 1 : without;
  }

  @Override
  public double both(double one, double other) {
    return Math.max(one, other);
  }
}
