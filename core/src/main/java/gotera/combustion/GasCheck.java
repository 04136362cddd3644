package gotera.combustion;

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
import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
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
 * @param used what was used so far, and when last
 */
public record GasCheck(
    Move next,
    Optional<GasColour> colour,
    Set<NotCounted> notCounted,
    Optional<Instant> drawing,
    Optional<Level> level,
    Used used) {

  /**
   * What a check has used.
   *
   * @param fillings how many fillings of fluid
   * @param out what was drawn down in all (mL)
   * @param last when the newest step was
   */
  public record Used(int fillings, double out, Optional<Instant> last) {}

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
          next(because),
          colour,
          Set.copyOf(because),
          drawing,
          level,
          new Used(fillings, out, last));
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
