package gotera.evidence;

import java.util.List;
import java.util.Map;

/**
 * Everything that was seen of the wetness of one place: one track, one sighting. Besides a leak at
 * the place itself there is one hidden cause, "wet came there from elsewhere", that all of it
 * shares, so that the same wet told in five states weighs little more than once. What was seen
 * after the place had been dried is no part of it.
 *
 * <p>Where nothing leaks the hidden cause has the probability that makes one sighting alone as
 * likely as its own false alarm; {@value #SHARED} of that is shared (our judgement, untested).
 */
public final class Track implements Evidence {
  private static final double SHARED = 0.8;

  /** Nothing comes from above for certain (our judgement, untested). */
  private static final double MOST = 0.95;

  private final Label label;
  private final String place;
  private final Map<Mode, Double> modes;
  private final List<AtPlace> seen;

  /**
   * Probability of seeing each wet, given that wet came from elsewhere: as by a leak, whatever its
   * mode.
   */
  private final double[] shows;

  /** The same, given that none came. */
  private final double[] alone;

  /** Probability that wet came from elsewhere, where nothing above leaks. */
  private final double strayed;

  private final double none;

  /**
   * A track; one of nothing is refused.
   *
   * @param label what it is called
   * @param place the place
   * @param modes share of each mode among the faults of the place, together 1
   * @param seen what was seen there, in any order
   */
  public Track(Label label, String place, Map<Mode, Double> modes, List<AtPlace> seen) {
    if (seen.isEmpty()) {
      throw new IllegalArgumentException("a track of nothing at " + place);
    }
    this.label = label;
    this.place = place;
    this.modes = Map.copyOf(modes);
    this.seen = List.copyOf(seen);
    this.shows =
        seen.stream()
            .mapToDouble(
                s ->
                    modes.entrySet().stream()
                        .mapToDouble(
                            m -> m.getValue() * s.sees().getOrDefault(m.getKey(), s.falseAlarm()))
                        .sum())
            .toArray();
    double least = 1;
    for (int i = 0; i < shows.length; i++) {
      least = Math.min(least, shows[i] > 0 ? seen.get(i).falseAlarm() / shows[i] : 0);
    }
    this.strayed = SHARED * least;
    this.alone = new double[shows.length];
    for (int i = 0; i < shows.length; i++) {
      double other = (seen.get(i).falseAlarm() - strayed * shows[i]) / (1 - strayed);
      alone[i] = Math.min(1, Math.max(0, other));
    }
    this.none = given(strayed, Mode.ALWAYS, false);
  }

  @Override
  public Label label() {
    return label;
  }

  private static double likelihood(AtPlace one, double wet) {
    return one.wet() ? wet : 1 - wet;
  }

  /** All of it, where wet came from elsewhere with a probability. */
  private double given(double probability, Mode mode, boolean acts) {
    double came = probability;
    double not = 1 - probability;
    for (int i = 0; i < shows.length; i++) {
      AtPlace s = seen.get(i);
      double factor = acts ? s.acts().getOrDefault(mode, 1.0) : 1;
      came *= likelihood(s, Math.max(alone[i], shows[i] * factor));
      not *= likelihood(s, alone[i]);
    }
    return came + not;
  }

  @Override
  public double none() {
    return none;
  }

  @Override
  public double one(String other, Mode mode) {
    if (other.equals(place)) {
      double all = 1;
      for (AtPlace s : seen) {
        all *= likelihood(s, s.sees().getOrDefault(mode, s.falseAlarm()));
      }
      return all;
    }
    double runs = 0;
    double need = seen.stream().anyMatch(AtPlace::wet) ? 1 : AtPlace.NEED_NOT_RUN;
    for (int i = 0; i < shows.length; i++) {
      Double down = seen.get(i).runsDown().get(other);
      runs = down == null || shows[i] <= 0 ? runs : Math.max(runs, down / shows[i]);
    }
    return need * runs > strayed ? given(Math.min(MOST, need * runs), mode, true) : none;
  }

  /** The one of the two that says more of it: what leaks there, or runs down to it. */
  @Override
  public double both(double one, double other) {
    return apart(one) >= apart(other) ? one : other;
  }

  private double apart(double likelihood) {
    double held = Math.max(Worlds.LEAST, likelihood);
    double usual = Math.max(Worlds.LEAST, none);
    return held > usual ? held / usual : usual / held;
  }

  @Override
  public Evidence given(String known) {
    return new Track(
        label, place, modes, seen.stream().map(s -> (AtPlace) s.given(known)).toList());
  }
}
