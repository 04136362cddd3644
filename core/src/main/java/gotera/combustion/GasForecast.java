package gotera.combustion;

import gotera.bubble.Funnel;
import gotera.combustion.GasStep.Level;
import gotera.combustion.GasStep.Started;
import gotera.combustion.GasStep.Warmed;
import gotera.uncertainty.DecisionLimits;
import gotera.warming.NeckLevel;
import gotera.warming.WarmUp;
import gotera.warming.WarmUp.Forecast;
import gotera.warming.WarmUp.Reading;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What is foreseen during a check for combustion gas: how the engine warms, when its level reaches
 * the tester, which gap would last.
 */
public final class GasForecast {
  /** Temperature at which thermostats open, where nobody knows better (°C) (from memory). */
  public static final double USUALLY_OPENS = 88;

  private GasForecast() {}

  /** How the engine warms, from the temperatures read since it was started; minute 0 is then. */
  public static Optional<WarmUp> warming(List<GasStep> steps) {
    Optional<Instant> started =
        steps.stream().filter(Started.class::isInstance).map(GasStep::at).reduce((a, b) -> b);
    if (started.isEmpty()) {
      return Optional.empty();
    }
    List<Reading> readings = new ArrayList<>();
    for (GasStep s : steps.stream().sorted(Comparator.comparing(GasStep::at)).toList()) {
      OptionalDouble celsius =
          s instanceof Warmed w
              ? OptionalDouble.of(w.celsius())
              : s instanceof Level l ? l.celsius() : OptionalDouble.empty();
      if (celsius.isPresent()) {
        double minute = minutes(started.get(), s.at());
        if (minute <= 0) {
          readings.clear(); // the newest before the start is where it starts from
        }
        readings.add(new Reading(Math.max(0, minute), celsius.getAsDouble()));
      }
    }
    return WarmUp.of(readings);
  }

  /**
   * When the level reaches the tester, counted from the newest level; renewed with each reading. A
   * second level since it was drawn down tells how much of the coolant warms: until the thermostat
   * opens the radiator's does not, so without one the forecast is early rather than late.
   *
   * @param neck the filler and what it holds
   */
  public static Optional<Forecast> reaches(List<GasStep> steps, NeckLevel neck) {
    Optional<Clock> clock = Clock.of(steps);
    Optional<Level> level = GasCheck.of(steps).level();
    if (clock.isEmpty() || level.isEmpty()) {
      return Optional.empty();
    }
    double share =
        climb(steps, neck)
            .filter(c -> c.expected() >= Climb.TELLS)
            .map(c -> Math.max(LEAST_SHARE, Math.min(MOST_SHARE, c.seen() / c.expected())))
            .orElse(1.0);
    NeckLevel warmed = new NeckLevel(neck.liquid() * share, neck.mixture(), neck.area());
    return warmed.until(
        level.get().gap(), clock.get().warming(), clock.get().minute(level.get().at()));
  }

  /**
   * Gap that lasts from the newest temperature until the thermostat has opened and the minute is
   * over (mm).
   */
  public static Optional<Double> gapNeeded(List<GasStep> steps, NeckLevel neck) {
    return Clock.of(steps)
        .map(c -> c.warming().celsius(c.warming().last()))
        .map(t -> neck.climbed(t, Math.max(t, USUALLY_OPENS) + AFTERWARDS));
  }

  /** It warms on by about this much until the minute is over (K) (our judgement, untested). */
  private static final double AFTERWARDS = 5;

  private static final double LEAST_SHARE = 0.2;
  private static final double MOST_SHARE = 3;

  /**
   * How far the level climbed between the newest two readings, nothing taken out at the later.
   *
   * @param seen as it was read (mm)
   * @param expected if all the coolant warmed as the readings have it (mm)
   * @param u standard uncertainty of the difference (mm)
   */
  public record Climb(double seen, double expected, double u) {
    /** From this climb on it says something (mm) (our judgement, untested). */
    static final double TELLS = 4;

    /** Whether it climbs faster than warming explains: something else pushes it. */
    public boolean faster() {
      return seen - expected > DecisionLimits.K * u;
    }
  }

  /** How the level climbed of late. */
  public static Optional<Climb> climb(List<GasStep> steps, NeckLevel neck) {
    List<Level> levels =
        steps.stream()
            .filter(Level.class::isInstance)
            .map(Level.class::cast)
            .sorted(Comparator.comparing(GasStep::at))
            .toList();
    Optional<Clock> clock = Clock.of(steps);
    if (levels.size() < 2 || clock.isEmpty()) {
      return Optional.empty();
    }
    Level before = levels.get(levels.size() - 2);
    Level now = levels.get(levels.size() - 1);
    if (now.out().orElse(0) > 0) {
      return Optional.empty();
    }
    double from = clock.get().celsius(before.at());
    double to = clock.get().celsius(now.at());
    double expected = neck.climbed(from, to);
    double u = Math.hypot(neck.climbedU(from, to), Math.sqrt(2) * Funnel.MARK_U);
    return Optional.of(new Climb(before.gap() - now.gap(), expected, u));
  }

  /** The readings' clock: minute 0 is when the engine was started. */
  private record Clock(Instant started, WarmUp warming) {
    static Optional<Clock> of(List<GasStep> steps) {
      Optional<Instant> started =
          steps.stream().filter(Started.class::isInstance).map(GasStep::at).reduce((a, b) -> b);
      return started.flatMap(s -> GasForecast.warming(steps).map(w -> new Clock(s, w)));
    }

    /** What was read before the start counts from the start. */
    double minute(Instant at) {
      return Math.max(0, minutes(started, at));
    }

    double celsius(Instant at) {
      return warming.celsius(minute(at));
    }
  }

  private static double minutes(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / 60_000.0;
  }
}
