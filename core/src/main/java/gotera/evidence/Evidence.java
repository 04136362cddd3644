package gotera.evidence;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;

/**
 * What a check saw, as a likelihood given the places that leak. Pieces of evidence are independent
 * of each other given those places. A check that could not exercise a place states nothing about
 * it.
 */
public interface Evidence {
  /** What it is called among the reasons. */
  Label label();

  /** Probability of what was seen where nothing leaks. */
  double none();

  /** The same where one place leaks, by a fault that acts in a mode. */
  double one(String place, Mode mode);

  /**
   * The same where two places leak.
   *
   * @param one probability of what was seen if only one of them leaked
   * @param other if only the other did
   */
  double both(double one, double other);

  /**
   * The same where another place is known to leak, whatever else does: what it would cause needs no
   * other place.
   */
  default Evidence given(String known) {
    return this;
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
      implements Evidence {
    /** Refuses what is no probability. */
    public OfTheWhole {
      probability(withFault);
      probability(without);
    }

    @Override
    public double none() {
      return seen ? without : 1 - without;
    }

    @Override
    public double one(String place, Mode mode) {
      return seen ? withFault : 1 - withFault;
    }

    @Override
    public double both(double one, double other) {
      return one;
    }
  }

  /**
   * One place was looked at. What leaks above may run down to it; but never is a sighting likelier
   * by what runs down than by a leak at the place itself, so that it cannot acquit its own place.
   *
   * @param label what it is called
   * @param place the place
   * @param wet whether it was seen wet
   * @param sees probability of seeing it wet where it leaks, by the mode of its fault
   * @param runsDown probability of seeing it wet where another place leaks, by that place
   * @param acts how far a fault of another place acts while this is looked at, by its mode
   * @param falseAlarm probability of seeing it wet where nothing leaks
   */
  record AtPlace(
      Label label,
      String place,
      boolean wet,
      Map<Mode, Double> sees,
      Map<String, Double> runsDown,
      Map<Mode, Double> acts,
      double falseAlarm)
      implements Evidence {
    /** So much of what may run down is missed where a place is dry (our judgement, untested). */
    static final double NEED_NOT_RUN = 0.15;

    /** Refuses what is no probability. */
    public AtPlace {
      sees.values().forEach(Evidence::probability);
      runsDown.values().forEach(Evidence::probability);
      acts.values().forEach(Evidence::probability);
      probability(falseAlarm);
      double least = sees.values().stream().mapToDouble(Double::doubleValue).min().orElse(1);
      falseAlarm = Math.min(falseAlarm, least);
      Map<String, Double> capped = new java.util.HashMap<>();
      runsDown.forEach((other, p) -> capped.put(other, Math.min(p, least)));
      sees = Map.copyOf(sees);
      runsDown = Map.copyOf(capped);
      acts = Map.copyOf(acts);
    }

    /** A place of which one thing is known whatever the mode, and nothing runs down to it. */
    public AtPlace(Label label, String place, boolean wet, double sensitivity, double falseAlarm) {
      this(label, place, wet, everyMode(sensitivity), Map.of(), Map.of(), falseAlarm);
    }

    /** The same by another name. */
    public AtPlace called(Label other) {
      return new AtPlace(other, place, wet, sees, runsDown, acts, falseAlarm);
    }

    private static Map<Mode, Double> everyMode(double p) {
      Map<Mode, Double> all = new EnumMap<>(Mode.class);
      for (Mode mode : Mode.values()) {
        all.put(mode, p);
      }
      return all;
    }

    @Override
    public double none() {
      return wet ? falseAlarm : 1 - falseAlarm;
    }

    @Override
    public double one(String other, Mode mode) {
      double seen =
          other.equals(place)
              ? sees.getOrDefault(mode, falseAlarm)
              : Math.max(
                  falseAlarm,
                  ran(runsDown.getOrDefault(other, 0.0)) * acts.getOrDefault(mode, 1.0));
      return wet ? seen : 1 - seen;
    }

    /** A leak above need not run down: that it is dry here says little against it. */
    private double ran(double probability) {
      return wet ? probability : NEED_NOT_RUN * probability;
    }

    @Override
    public double both(double one, double other) {
      return wet ? Math.max(one, other) : Math.min(one, other);
    }

    @Override
    public Evidence given(String known) {
      double runs = runsDown.getOrDefault(known, 0.0) * acts.getOrDefault(Mode.ALWAYS, 1.0);
      return new AtPlace(label, place, wet, sees, runsDown, acts, Math.max(falseAlarm, runs));
    }
  }

  /**
   * Something in a region: a drip at a spot, a smell in the cabin, gas in the coolant. Any of
   * several places may cause it, each by itself (noisy or).
   *
   * @param label what it is called
   * @param seen whether it was there
   * @param causes probability that a leak at a place causes it while its fault acts
   * @param acts how far a fault acts while this is looked for, by its mode; more than 1 where it
   *     shows just then
   * @param falseAlarm probability of it without any of them
   */
  record InRegion(
      Label label,
      boolean seen,
      Map<String, Double> causes,
      Map<Mode, Double> acts,
      double falseAlarm)
      implements Evidence {
    /** Nothing shows for certain (our judgement). */
    private static final double MOST = 0.98;

    /** Refuses what is no probability. */
    public InRegion {
      causes = Map.copyOf(causes);
      acts = Map.copyOf(acts);
      causes.values().forEach(Evidence::probability);
      probability(falseAlarm);
    }

    /** Whatever the mode. */
    public InRegion(Label label, boolean seen, Map<String, Double> causes, double falseAlarm) {
      this(label, seen, causes, Map.of(), falseAlarm);
    }

    @Override
    public double none() {
      return seen ? falseAlarm : 1 - falseAlarm;
    }

    @Override
    public double one(String place, Mode mode) {
      double factor = acts.getOrDefault(mode, 1.0);
      double caused = causes.getOrDefault(place, 0.0) * factor;
      double not = (1 - falseAlarm) * (1 - (factor > 1 ? Math.min(MOST, caused) : caused));
      return seen ? 1 - not : not;
    }

    @Override
    public double both(double one, double other) {
      double without = 1 - falseAlarm;
      double not = seen ? (1 - one) * (1 - other) : one * other;
      double without2 = without <= 0 ? 0 : not / without;
      return seen ? 1 - without2 : without2;
    }

    @Override
    public Evidence given(String known) {
      double caused =
          Math.min(MOST, causes.getOrDefault(known, 0.0) * acts.getOrDefault(Mode.ALWAYS, 1.0));
      return caused == 0
          ? this
          : new InRegion(label, seen, causes, acts, 1 - (1 - falseAlarm) * (1 - caused));
    }
  }

  /**
   * One of several places was shown by a check that looks at all of them.
   *
   * @param label what it is called
   * @param at the places of which it showed one; empty where it showed none
   * @param shows probability that a leak shows, by its place and the mode of its fault
   * @param falseAlarm probability that one of these places shows without a leak there
   */
  record Shown(Label label, Set<String> at, Map<String, Map<Mode, Double>> shows, double falseAlarm)
      implements Evidence {
    /** Refuses what is no probability. */
    public Shown {
      at = Set.copyOf(at);
      shows = Map.copyOf(shows);
      shows.values().forEach(m -> m.values().forEach(Evidence::probability));
      probability(falseAlarm);
    }

    @Override
    public double none() {
      return at.isEmpty() ? 1 - falseAlarm : falseAlarm;
    }

    @Override
    public double one(String other, Mode mode) {
      double shown = shows.getOrDefault(other, Map.of()).getOrDefault(mode, 0.0);
      if (at.isEmpty()) {
        return (1 - falseAlarm) * (1 - shown);
      }
      return at.contains(other) ? Math.max(shown, falseAlarm) : falseAlarm * (1 - shown);
    }

    @Override
    public double both(double one, double other) {
      return at.isEmpty() ? one * other / (1 - falseAlarm) : (one + other) / 2;
    }
  }

  private static void probability(double p) {
    if (!(p >= 0 && p <= 1)) {
      throw new IllegalArgumentException("a probability is from 0 to 1, not " + p);
    }
  }
}
