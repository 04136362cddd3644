package gotera.combustion;

import gotera.bubble.Funnel;
import gotera.combustion.GasStep.Controlled;
import gotera.combustion.GasStep.Drawing;
import gotera.combustion.GasStep.Drawn;
import gotera.combustion.GasStep.Filled;
import gotera.combustion.GasStep.Flooded;
import gotera.combustion.GasStep.Level;
import gotera.combustion.GasStep.Opened;
import gotera.combustion.GasStep.Read;
import gotera.combustion.GasStep.Stalled;
import gotera.combustion.GasStep.Started;
import gotera.combustion.GasStep.Warmed;
import gotera.uncertainty.DecisionLimits;
import gotera.warming.NeckLevel;
import gotera.warming.WarmUp;
import gotera.warming.WarmUp.Forecast;
import gotera.warming.WarmUp.Reading;
import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A check for combustion gas, as far as it has come: a state machine over what happened, in any
 * order. What was done with one filling of fluid counts for that filling only; the engine and its
 * thermostat stay as they are between fillings.
 *
 * @param next what to do now
 * @param colour what the fluid showed, once it was read
 * @param notCounted why that does not count; empty where it does, or where nothing was read yet
 * @param drawing when the bulb began to draw, where it draws now
 * @param level the newest level, since when the coolant has climbed
 * @param fillings how many fillings were used
 * @param out what was drawn down in all (mL)
 * @param last when the newest step was
 */
public record GasCheck(
    Move next,
    Optional<GasColour> colour,
    Set<NotCounted> notCounted,
    Optional<Instant> drawing,
    Optional<Level> level,
    int fillings,
    double out,
    Optional<Instant> last) {
  /** How long the bulb draws without a break (common practice, no source). */
  public static final Duration DRAWS = Duration.ofMinutes(1);

  /** What one does next. */
  public enum Move implements Worded {
    /** Put fresh fluid in and see that it is blue. */
    FILL,
    /** Draw the coolant down below the tester. */
    DRAW_DOWN,
    /** Start the engine. */
    START,
    /** Wait until the thermostat opens. */
    WARM_UP,
    /** Draw with the bulb for a full minute. */
    DRAW,
    /** Go on drawing until the minute is over. */
    KEEP_DRAWING,
    /** Read the colour. */
    READ,
    /** Turn the fluid with the exhaust. */
    CONTROL,
    /** It is told. */
    DONE
  }

  /** What a check says. */
  public enum Says implements Worded {
    /** Not told yet. */
    OPEN,
    /** It does not count. */
    DOES_NOT_COUNT,
    /** Combustion gas in the coolant. */
    GAS,
    /** No gas then and there: suspicion falls, it does not end. */
    NO_GAS
  }

  /** What it says. */
  public Says says() {
    if (notCounted.contains(NotCounted.COOLANT_DRAWN_IN)) {
      return Says.DOES_NOT_COUNT;
    }
    if (colour.isEmpty() || next == Move.CONTROL) {
      return Says.OPEN;
    }
    if (!notCounted.isEmpty()) {
      return Says.DOES_NOT_COUNT;
    }
    return colour.get() == GasColour.BLUE ? Says.NO_GAS : Says.GAS;
  }

  /** As far as it has come. */
  public static GasCheck of(List<GasStep> steps) {
    List<GasStep> inOrder = steps.stream().sorted(Comparator.comparing(GasStep::at)).toList();
    Run run = new Run();
    inOrder.forEach(run::take);
    return run.state();
  }

  /** Temperature at which thermostats open, where nobody knows better (°C) (from memory). */
  public static final double USUALLY_OPENS = 88;

  /** How far each filling came that was used, the newest last. */
  public static List<GasCheck> fillings(List<GasStep> steps) {
    List<GasCheck> all = new ArrayList<>();
    Run run = new Run();
    for (GasStep step : steps.stream().sorted(Comparator.comparing(GasStep::at)).toList()) {
      if (step instanceof Filled && run.fillings > 0) {
        all.add(run.state());
      }
      run.take(step);
    }
    all.add(run.state());
    return all;
  }

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
    Optional<Level> level = of(steps).level();
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
      return started.flatMap(s -> GasCheck.warming(steps).map(w -> new Clock(s, w)));
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

  /** What has happened so far. */
  private static final class Run {
    private boolean started;
    private boolean open;
    private int fillings;
    private double out;
    private Optional<Instant> last = Optional.empty();
    private Optional<Level> level = Optional.empty();
    private boolean blue;
    private Optional<Instant> drawing = Optional.empty();
    private Optional<Duration> drew = Optional.empty();
    private Optional<GasColour> colour = Optional.empty();
    private Optional<Controlled> control = Optional.empty();
    private final Set<NotCounted> spoilt = EnumSet.noneOf(NotCounted.class);

    void take(GasStep step) {
      last = Optional.of(step.at());
      if (step instanceof Filled f) {
        filled(f.blue());
      } else if (step instanceof Level l) {
        level = Optional.of(l);
        out += l.out().orElse(0);
      } else if (step instanceof Started) {
        started = true;
      } else if (step instanceof Opened) {
        open = started;
      } else if (step instanceof Drawing d) {
        draws(d.at());
      } else if (step instanceof Drawn d) {
        drew = drawing.map(from -> Duration.between(from, d.at()));
        drawing = Optional.empty();
      } else if (step instanceof Stalled) {
        drawing = Optional.empty();
        spoilt.add(NotCounted.BULB_AGAINST_VACUUM);
      } else if (step instanceof Flooded) {
        drawing = Optional.empty();
        spoilt.add(NotCounted.COOLANT_DRAWN_IN);
      } else if (step instanceof Read r) {
        read(r);
      } else if (step instanceof Controlled c) {
        control = Optional.of(c);
      }
    }

    private void filled(boolean isBlue) {
      fillings++;
      blue = isBlue;
      drawing = Optional.empty();
      drew = Optional.empty();
      colour = Optional.empty();
      control = Optional.empty();
      spoilt.clear();
    }

    /** Drawing anew mends a stall, but not fluid that coolant has reached. */
    private void draws(Instant at) {
      drawing = Optional.of(at);
      drew = Optional.empty();
      spoilt.remove(NotCounted.BULB_AGAINST_VACUUM);
      spoilt.remove(NotCounted.ENGINE_COLD);
      if (!open) {
        spoilt.add(NotCounted.ENGINE_COLD);
      }
    }

    private void read(Read r) {
      drew = drawing.isPresent() ? drawing.map(from -> Duration.between(from, r.at())) : drew;
      drawing = Optional.empty();
      colour = Optional.of(r.colour());
    }

    GasCheck state() {
      Set<NotCounted> because = EnumSet.noneOf(NotCounted.class);
      because.addAll(spoilt);
      if (colour.isPresent()) {
        add(because, fillings == 0 || !blue, NotCounted.FLUID_NOT_BLUE);
        boolean drawn = drew.filter(d -> d.compareTo(DRAWS) >= 0).isPresent();
        add(because, !drawn, NotCounted.TOO_SHORT);
        add(because, drew.isEmpty() && !open, NotCounted.ENGINE_COLD);
        boolean turned = control.filter(Controlled::turned).isPresent();
        add(because, colour.get() == GasColour.BLUE && !turned, NotCounted.NO_CONTROL);
      }
      return new GasCheck(
          next(because), colour, Set.copyOf(because), drawing, level, fillings, out, last);
    }

    private static void add(Set<NotCounted> because, boolean is, NotCounted reason) {
      if (is) {
        because.add(reason);
      }
    }

    private Move next(Set<NotCounted> because) {
      if (colour.isPresent()) {
        boolean only = because.equals(EnumSet.of(NotCounted.NO_CONTROL));
        return only && control.isEmpty() ? Move.CONTROL : because.isEmpty() ? Move.DONE : Move.FILL;
      }
      if (fillings == 0 || !blue || spoilt.contains(NotCounted.COOLANT_DRAWN_IN)) {
        return Move.FILL;
      }
      if (level.isEmpty()) {
        return Move.DRAW_DOWN;
      }
      if (!started) {
        return Move.START;
      }
      if (!open) {
        return Move.WARM_UP;
      }
      if (drawing.isPresent()) {
        return Move.KEEP_DRAWING;
      }
      return drew.filter(d -> d.compareTo(DRAWS) >= 0).isPresent() ? Move.READ : Move.DRAW;
    }
  }
}
