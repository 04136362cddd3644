package gotera.safe;

import gotera.safe.Happened.GaugeRead;
import gotera.safe.Happened.Measured;
import gotera.safe.Happened.Qualified;
import gotera.safe.Happened.Ran;
import gotera.safe.Happened.Squeezed;
import gotera.safe.Happened.Vented;
import gotera.timing.CoolDown;
import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a system may be opened, from what happened to it. A state machine: a squeeze says
 * something until the system is pumped up, runs, or half an hour has passed; a temperature until it
 * runs or an hour has passed; a gauge that showed pressure until it is let off or shows none. Only
 * a soft hose and a temperature read, both still in force, and no pressure on the gauge make "may
 * be opened".
 *
 * @param verdict what may be done now
 * @param squeezed the squeeze in force
 * @param measured the temperature in force
 * @param cooling how it cools, once a temperature was read since it last ran
 * @param until from when on the verdict must be renewed, where it may be opened
 */
public record Opening(
    Verdict verdict,
    Optional<Squeezed> squeezed,
    Optional<Measured> measured,
    Optional<CoolDown> cooling,
    Optional<Instant> until) {
  /** How long a squeeze says something (our judgement, untested). */
  public static final Duration SQUEEZE_HOLDS = Duration.ofMinutes(30);

  /** How long a temperature says something (our judgement, untested). */
  public static final Duration TEMPERATURE_HOLDS = Duration.ofMinutes(60);

  /** How long a qualified person's word holds: a working day (our judgement, untested). */
  public static final Duration WORD_HOLDS = Duration.ofHours(12);

  /** A gauge shows no pressure below this (kPa) (our judgement, untested). */
  public static final double NO_PRESSURE = 3;

  /** Faster than this no engine cools on its own (K/min) (our judgement, untested). */
  public static final double FASTEST_COOLING = 5;

  /** Two readings this close may differ by what one probe and the next differ (K). */
  private static final double PROBES_DIFFER = 15;

  private static final double USUAL_ROOM = 20; // °C

  /** What may be done. */
  public enum Verdict implements Worded {
    /** Soft, cold by a reading, no pressure, and nobody is endangered by high voltage. */
    MAY_OPEN,
    /** High voltage: a qualified person only. */
    HIGH_VOLTAGE,
    /** The gauge shows pressure. */
    PRESSURE,
    /** The hose is hard. */
    HARD,
    /** Warmer than what is opened. */
    HOT,
    /** It should be cold by now, but nobody has measured it. */
    MEASURE_AGAIN,
    /** The engine ran since: everything begins anew. */
    RAN,
    /** Nobody has read a temperature. */
    NO_TEMPERATURE,
    /** Nobody has squeezed, or not since it was pumped up. */
    NOT_SQUEEZED,
    /** What was said is too long ago. */
    EXPIRED,
    /** Nothing is known. */
    UNKNOWN
  }

  /**
   * The state at a moment.
   *
   * @param happened everything that happened, in any order
   * @param highVoltage whether the system cools high-voltage parts
   */
  public static Opening of(List<Happened> happened, boolean highVoltage, Instant now) {
    return new Machine(happened.stream().sorted(Comparator.comparing(Happened::at)).toList(), now)
        .state(highVoltage);
  }

  /** Whether it may be opened. */
  public boolean mayOpen() {
    return verdict == Verdict.MAY_OPEN;
  }

  /**
   * Whether two readings cannot both be right: nothing cools so fast.
   *
   * @param before the earlier reading (°C)
   * @param after the later one (°C)
   * @param between time between them
   */
  public static boolean tooFast(double before, double after, Duration between) {
    double minutes = between.toMillis() / 60_000.0;
    return Math.abs(before - after) > PROBES_DIFFER + FASTEST_COOLING * Math.max(0, minutes);
  }

  /** Everything in order of time, at a moment. */
  private record Machine(List<Happened> happened, Instant now) {

    Opening state(boolean highVoltage) {
      Optional<Instant> ran = last(Ran.class).map(Happened::at);
      Optional<Squeezed> squeezed = last(Squeezed.class);
      List<Measured> read =
          happened.stream()
              .filter(Measured.class::isInstance)
              .map(Measured.class::cast)
              .filter(m -> ran.filter(r -> !m.at().isAfter(r)).isEmpty())
              .toList();
      Optional<Measured> measured = read.stream().reduce((a, b) -> b);
      Optional<CoolDown> cooling = cooling(read);
      Verdict verdict = verdict(highVoltage, ran, squeezed, measured, cooling);
      Optional<Instant> until =
          verdict != Verdict.MAY_OPEN
              ? Optional.empty()
              : Optional.of(
                  earlier(
                      squeezed.orElseThrow().at().plus(SQUEEZE_HOLDS),
                      measured.orElseThrow().at().plus(TEMPERATURE_HOLDS)));
      return new Opening(verdict, squeezed, measured, cooling, until);
    }

    private Verdict verdict(
        boolean highVoltage,
        Optional<Instant> ran,
        Optional<Squeezed> squeezed,
        Optional<Measured> measured,
        Optional<CoolDown> cooling) {
      if (highVoltage && last(Qualified.class).filter(q -> inForce(q, WORD_HOLDS)).isEmpty()) {
        return Verdict.HIGH_VOLTAGE;
      }
      if (pressed()) {
        return Verdict.PRESSURE;
      }
      boolean squeezedSince = squeezed.filter(s -> after(s, ran) && after(s, pumped())).isPresent();
      if (squeezedSince && !squeezed.orElseThrow().soft()) {
        return Verdict.HARD;
      }
      if (measured.isEmpty() && !squeezedSince) {
        return ran.isPresent() ? Verdict.RAN : Verdict.UNKNOWN;
      }
      if (measured.isEmpty()) {
        return Verdict.NO_TEMPERATURE;
      }
      if (measured.get().celsius() > CoolDown.SAFE_TO_OPEN) {
        double since = Duration.between(measured.get().at(), now).toMillis() / 60_000.0;
        return cooling.filter(c -> c.after(since) <= CoolDown.SAFE_TO_OPEN).isPresent()
            ? Verdict.MEASURE_AGAIN
            : Verdict.HOT;
      }
      if (!squeezedSince) {
        return Verdict.NOT_SQUEEZED;
      }
      return inForce(squeezed.orElseThrow(), SQUEEZE_HOLDS)
              && inForce(measured.get(), TEMPERATURE_HOLDS)
          ? Verdict.MAY_OPEN
          : Verdict.EXPIRED;
    }

    /** Whether the gauge shows pressure: it did last, and nobody let it off since. */
    private boolean pressed() {
      boolean pressed = false;
      for (Happened h : happened) {
        if (h instanceof GaugeRead g) {
          pressed = g.kilopascals() > NO_PRESSURE;
        } else if (h instanceof Vented) {
          pressed = false;
        }
      }
      return pressed;
    }

    /** When it was last under pressure of a tester. */
    private Optional<Instant> pumped() {
      return happened.stream()
          .filter(h -> h instanceof GaugeRead g && g.kilopascals() > NO_PRESSURE)
          .map(Happened::at)
          .reduce((a, b) -> b);
    }

    private static boolean after(Happened h, Optional<Instant> moment) {
      return moment.filter(m -> !h.at().isAfter(m)).isEmpty();
    }

    private boolean inForce(Happened h, Duration holds) {
      return !h.at().plus(holds).isBefore(now) && !h.at().isAfter(now.plusSeconds(1));
    }

    private <T extends Happened> Optional<T> last(Class<T> kind) {
      return happened.stream().filter(kind::isInstance).map(kind::cast).reduce((a, b) -> b);
    }

    private static Instant earlier(Instant a, Instant b) {
      return a.isBefore(b) ? a : b;
    }

    /** From the last two readings where they cool, else with the usual time constant. */
    private static Optional<CoolDown> cooling(List<Measured> read) {
      if (read.isEmpty()) {
        return Optional.empty();
      }
      Measured last = read.get(read.size() - 1);
      double room = last.room().orElse(USUAL_ROOM);
      if (read.size() > 1) {
        Measured before = read.get(read.size() - 2);
        double minutes = Duration.between(before.at(), last.at()).toMillis() / 60_000.0;
        Optional<CoolDown> measured = CoolDown.of(room, before.celsius(), last.celsius(), minutes);
        if (measured.isPresent()) {
          return measured;
        }
      }
      return Optional.of(CoolDown.usual(room, last.celsius()));
    }
  }
}
