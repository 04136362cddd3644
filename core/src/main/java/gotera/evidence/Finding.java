package gotera.evidence;

import java.util.Map;
import java.util.Set;

/**
 * What a check saw, as a likelihood given the places that leak. Findings are independent of each
 * other given those places. A check that could not exercise a place states nothing about it.
 */
public sealed interface Finding {
  /** What it is called among the reasons. */
  Label label();

  /**
   * Probability of what was seen.
   *
   * @param leaks whether a place leaks
   */
  double likelihood(Leaks leaks);

  /** Which places leak, in a world that is being weighed. */
  interface Leaks {
    /** Whether this place leaks. */
    boolean at(String place);

    /** Whether anything leaks at all. */
    boolean any();
  }

  /**
   * Something about the whole vehicle: a loss is complained of, the level fell. A second fault
   * makes it no likelier.
   *
   * @param label what it is called
   * @param seen whether it was so
   * @param withFault probability of it where anything leaks
   * @param without probability of it where nothing does
   */
  record OfTheWhole(Label label, boolean seen, double withFault, double without)
      implements Finding {
    /** Refuses what is no probability. */
    public OfTheWhole {
      probability(withFault);
      probability(without);
    }

    @Override
    public double likelihood(Leaks leaks) {
      double p = leaks.any() ? withFault : without;
      return seen ? p : 1 - p;
    }
  }

  /**
   * One place was looked at.
   *
   * @param label what it is called
   * @param place the place
   * @param wet whether it was seen wet
   * @param sensitivity probability of seeing it wet where it leaks
   * @param falseAlarm probability of seeing it wet where it does not: it runs down from elsewhere
   */
  record AtPlace(Label label, String place, boolean wet, double sensitivity, double falseAlarm)
      implements Finding {
    /** Refuses what is no probability. */
    public AtPlace {
      probability(sensitivity);
      probability(falseAlarm);
    }

    @Override
    public double likelihood(Leaks leaks) {
      double seen = leaks.at(place) ? sensitivity : falseAlarm;
      return wet ? seen : 1 - seen;
    }
  }

  /**
   * Something in a region: a drip at a spot, a smell in the cabin, a complaint. Any of several
   * places may cause it, each by itself (noisy or).
   *
   * @param label what it is called
   * @param seen whether it was there
   * @param causes probability that a leak at a place causes it
   * @param falseAlarm probability of it without any of them
   */
  record InRegion(Label label, boolean seen, Map<String, Double> causes, double falseAlarm)
      implements Finding {
    /** Refuses what is no probability. */
    public InRegion {
      causes = Map.copyOf(causes);
      causes.values().forEach(Finding::probability);
      probability(falseAlarm);
    }

    @Override
    public double likelihood(Leaks leaks) {
      double not = 1 - falseAlarm;
      for (Map.Entry<String, Double> cause : causes.entrySet()) {
        if (leaks.at(cause.getKey())) {
          not *= 1 - cause.getValue();
        }
      }
      return seen ? 1 - not : not;
    }
  }

  /**
   * A measured leak rate, or what is left of it once the sites with a measured flow are taken off.
   * Without a fault that acts in the test's state it is noise about zero; with one it is log-normal
   * (log10 of mL/min: mean 0, standard deviation 0.7; our judgement, untested), seen through the
   * same noise.
   *
   * @param label what it is called
   * @param rate the rate (mL/min)
   * @param u its standard uncertainty (mL/min), positive
   * @param acting places whose fault acts in the state of the test
   */
  final class MeasuredRate implements Finding {
    private static final double LOG_SD = 0.7;

    /** A hundredth may come from anywhere within 1000 mL/min (our judgement, untested). */
    private static final double FLAT_SHARE = 0.01;

    private static final double FLAT = 1e-3; // per mL/min
    private static final int STEPS = 280;
    private static final double WIDTH = 3.5; // decades either way

    private final Label label;
    private final Set<String> acting;
    private final double leaking;
    private final double tight;

    /** Refuses a rate without uncertainty. */
    public MeasuredRate(Label label, double rate, double u, Set<String> acting) {
      if (!(u > 0)) {
        throw new IllegalArgumentException("u of a measured rate must be positive: " + u);
      }
      this.label = label;
      this.acting = Set.copyOf(acting);
      this.tight = mixed(density(rate, u));
      this.leaking = mixed(leaking(rate, u));
    }

    @Override
    public Label label() {
      return label;
    }

    @Override
    public double likelihood(Leaks leaks) {
      return acting.stream().anyMatch(leaks::at) ? leaking : tight;
    }

    /** With a little of a flat density, so that no rate decides alone. */
    private static double mixed(double density) {
      return (1 - FLAT_SHARE) * density + FLAT_SHARE * FLAT;
    }

    /** ∫ N(rate; q, u)·LN(q) dq, over the logarithm of q and over the noise where that is finer. */
    private static double leaking(double rate, double u) {
      double sum = 0;
      double h = 2 * WIDTH / STEPS;
      double before = 0;
      double at = 0;
      java.util.List<Double> nodes = new java.util.ArrayList<>();
      for (int i = 0; i <= STEPS; i++) {
        nodes.add(Math.pow(10, -WIDTH + i * h));
      }
      for (int i = -60; i <= 60; i++) {
        double q = rate + i * u / 10;
        if (q > 0) {
          nodes.add(q);
        }
      }
      nodes.sort(Double::compare);
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

  private static void probability(double p) {
    if (!(p >= 0 && p <= 1)) {
      throw new IllegalArgumentException("a probability is from 0 to 1, not " + p);
    }
  }
}
