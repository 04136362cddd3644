package gotera.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;

/**
 * A measured leak rate, or what is left of it once the sites with a measured flow are taken off.
 * Without a fault that acts in the test's state it is noise about zero; with one it is log-normal
 * (log10 of mL/min: mean 0, standard deviation 0.7; our judgement, untested), seen through the same
 * noise.
 */
public final class MeasuredRate implements Evidence {
  private static final double LOG_SD = 0.7;

  /** A hundredth may come from anywhere within 1000 mL/min (our judgement, untested). */
  private static final double FLAT_SHARE = 0.01;

  private static final double FLAT = 1e-3; // per mL/min
  private static final int STEPS = 280;
  private static final double WIDTH = 3.5; // decades either way

  private final Label label;
  private final BiPredicate<String, Mode> acting;
  private final double leaking;
  private final double tight;

  /**
   * A rate; one without uncertainty is refused.
   *
   * @param label what it is called
   * @param rate the rate (mL/min)
   * @param u its standard uncertainty (mL/min), positive
   * @param acting whether a fault of a place, in a mode, acts in the state of the test and is in it
   */
  public MeasuredRate(Label label, double rate, double u, BiPredicate<String, Mode> acting) {
    if (!(u > 0)) {
      throw new IllegalArgumentException("u of a measured rate must be positive: " + u);
    }
    this.label = label;
    this.acting = acting;
    this.tight = mixed(density(rate, u));
    this.leaking = mixed(leaking(rate, u));
  }

  /** The same with the places whose fault acts, whatever its mode. */
  public MeasuredRate(Label label, double rate, double u, Set<String> acting) {
    this(label, rate, u, (place, mode) -> acting.contains(place));
  }

  @Override
  public Label label() {
    return label;
  }

  @Override
  public double none() {
    return tight;
  }

  @Override
  public double one(String place, Mode mode) {
    return acting.test(place, mode) ? leaking : tight;
  }

  @Override
  public double both(double one, double other) {
    return one == tight ? other : one;
  }

  /** With a little of a flat density, so that no rate decides alone. */
  private static double mixed(double density) {
    return (1 - FLAT_SHARE) * density + FLAT_SHARE * FLAT;
  }

  /** ∫ N(rate; q, u)·LN(q) dq, over the logarithm of q and over the noise where that is finer. */
  private static double leaking(double rate, double u) {
    List<Double> nodes = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      nodes.add(Math.pow(10, -WIDTH + i * 2 * WIDTH / STEPS));
    }
    for (int i = -60; i <= 60; i++) {
      double q = rate + i * u / 10;
      if (q > 0) {
        nodes.add(q);
      }
    }
    nodes.sort(Double::compare);
    double sum = 0;
    double before = 0;
    double at = 0;
    for (int i = 0; i < nodes.size(); i++) {
      double q = nodes.get(i);
      double z = Math.log10(q) / LOG_SD;
      double log = Math.exp(-0.5 * z * z) / (LOG_SD * Math.sqrt(2 * Math.PI) * q * Math.log(10));
      double value = log * density(rate - q, u);
      if (i > 0) {
        sum += (value + before) / 2 * (q - at);
      }
      before = value;
      at = q;
    }
    return sum;
  }

  private static double density(double x, double sd) {
    double z = x / sd;
    return Math.exp(-0.5 * z * z) / (sd * Math.sqrt(2 * Math.PI));
  }
}
