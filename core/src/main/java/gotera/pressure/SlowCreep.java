package gotera.pressure;

import gotera.pressure.trace.Trace;
import java.util.ArrayList;
import java.util.List;

/**
 * How hoses go on creeping long after they were pumped up: about in the logarithm of time
 * (elastomers relax by some 2 to 8 % of their deformation per decade; from memory), or with one
 * slow time constant, superposed over every step of the pressure that is known (L. Boltzmann, Ann.
 * Phys. 7 (1876) 624): pumping, letting off, a hold before this one. What was pressed for long
 * creeps little more.
 *
 * @param steps the steps of the pressure, the first first
 * @param height sum of the steps: the pressure that stands now (kPa), not below 1
 */
record SlowCreep(List<Step> steps, double height) {
  /**
   * A hand takes so long to pump: below it the logarithm does not reach back (s) (our judgement).
   */
  private static final double PUMPED_IN = 20;

  /**
   * A step smaller than this share of the highest is the gauge's noise, or a leak (1) (our
   * judgement, untested).
   */
  private static final double STEP_SHARE = 0.03;

  /** Scale of the creep per decade, as a share of what hoses give (1) (our judgement, untested). */
  private static final double PER_DECADE = 0.07;

  /** Scale of a slow creep, as a share of what hoses give (1) (our judgement, untested). */
  private static final double SLOWLY = 0.16;

  /**
   * A step of the pressure.
   *
   * @param seconds when (s)
   * @param kilopascals by how much (kPa)
   */
  record Step(double seconds, double kilopascals) {}

  /** How it goes with time, and how probable that is beforehand (our judgement, untested). */
  enum Shape {
    /** Not at all. */
    NONE(Double.NaN, 1e-6, 0.5),
    /** In the logarithm of time, per decade. */
    LOGARITHM(Double.NaN, PER_DECADE, 0.25),
    /** With a time constant of some minutes. */
    MINUTES(360, SLOWLY, 0.125),
    /** Of a quarter of an hour. */
    QUARTER(1000, SLOWLY, 0.125);

    private final double tau;
    private final double share;
    private final double prior;

    Shape(double tau, double share, double prior) {
      this.tau = tau;
      this.share = share;
      this.prior = prior;
    }

    /** How probable it is beforehand (1). */
    double prior() {
      return prior;
    }

    private double at(double seconds) {
      if (!(seconds > 0)) {
        return 0;
      }
      return Double.isNaN(tau) ? Math.log10(1 + seconds / PUMPED_IN) : 1 - Math.exp(-seconds / tau);
    }

    /** Standard deviation of what creeps, before it is cut at zero (mL). */
    double scale(double hose, double height) {
      return share * hose * height;
    }
  }

  /** Keeps its own copy. */
  SlowCreep {
    steps = List.copyOf(steps);
  }

  /** Of hoses that were pumped up at once (s, kPa). */
  static SlowCreep of(double pumped, double height) {
    return new SlowCreep(List.of(new Step(pumped, Math.max(1, height))), Math.max(1, height));
  }

  /**
   * Of the hold that is judged, with everything on its trace before.
   *
   * @param pumped when the pumping ended (s)
   * @param gauge what the gauge showed then (kPa)
   * @param from what it showed before anything was pumped (kPa)
   */
  static SlowCreep before(Trace trace, double pumped, double gauge, double from) {
    double least = STEP_SHARE * Math.max(1, Math.abs(gauge - from));
    List<Step> steps = new ArrayList<>();
    double stands = from;
    for (int i = 0; i < trace.size() && trace.seconds(i) < pumped; i++) {
      if (Math.abs(trace.gauge(i) - stands) > least) {
        steps.add(new Step(trace.seconds(i), trace.gauge(i) - stands));
        stands = trace.gauge(i);
      }
    }
    if (Math.abs(gauge - stands) > least || steps.isEmpty()) {
      steps.add(new Step(pumped, gauge - stands));
    }
    return new SlowCreep(steps, Math.max(1, Math.abs(gauge - from)));
  }

  /** How far it has crept by then, in units of a step that is as high as what stands now. */
  double at(Shape shape, double seconds) {
    double sum = 0;
    for (Step step : steps) {
      sum += step.kilopascals() / height * shape.at(seconds - step.seconds());
    }
    return sum;
  }

  double[] column(Shape shape, double[] seconds) {
    double[] column = new double[seconds.length];
    double first = at(shape, seconds[0]);
    for (int i = 0; i < column.length; i++) {
      column[i] = at(shape, seconds[i]) - first;
    }
    return column;
  }
}
