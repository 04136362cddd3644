package gotera.level;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Expansion;
import gotera.pressure.setup.Usual;
import gotera.quantity.Temperature;
import gotera.uncertainty.DecisionLimits;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A leak rate without a pressure tester: q = ΔV ÷ time under pressure, with ΔV from the mark on the
 * tank, or from what was topped up, at as nearly equal temperatures as can be had.
 *
 * @param area free area of the tank at the mark (cm²), positive
 * @param fall how far the level fell (mm); negative if it rose
 * @param fallU standard uncertainty of a mark's reading (mm)
 * @param toppedUp what was put in between (mL)
 * @param toppedUpU its standard uncertainty (mL)
 * @param minutes time under pressure, hot (min); none where it only stood
 * @param warmer temperature now less that at the first mark (K)
 * @param warmerU its standard uncertainty (K)
 * @param perKelvin what the coolant grows by, (β − α)·V_L (mL/K)
 */
public record LevelWatch(
    double area,
    double fall,
    double fallU,
    double toppedUp,
    double toppedUpU,
    double minutes,
    double warmer,
    double warmerU,
    double perKelvin) {
  /** Relative standard uncertainty of the area and of the hours (our judgement, untested). */
  private static final double AREA_U = 0.1;

  private static final double MINUTES_U = 0.1;

  private static final double MINUTES_A_DAY = 1440;

  /** Standard uncertainty of a fall between two marks (mm) (our judgement, untested). */
  private static final double MARK_U = 1;

  /** Relative standard uncertainty of what was put in (our judgement, untested). */
  private static final double TOP_UP_U = 0.05;

  /**
   * Standard uncertainty of a difference of two temperatures read (K) (our judgement, untested).
   */
  static final double READ_U = 1.5;

  /** The same where none was read, both about the room's (K) (our judgement, untested). */
  private static final double UNREAD_U = 5;

  /** Nobody writes a mark down later than this (our judgement, untested). */
  public static final Duration LONGEST_AGO = Duration.ofDays(366);

  /** By so much more than has passed a count of hot hours may err (our judgement, untested). */
  private static final Duration COUNTED_OFF_BY = Duration.ofDays(1);

  /** Hours hot that can lie between two marks (h): no more than passed, and a day. */
  public static double mostHotHours(Instant before, Instant read) {
    return Duration.between(before, read).plus(COUNTED_OFF_BY).toMinutes() / 60.0;
  }

  /**
   * A mark of the level.
   *
   * @param area free area of the tank there (cm²)
   * @param level level above the first mark, below it with a minus (mm)
   * @param toppedUp what was put in since the mark before (mL)
   * @param hotHours hours hot since the mark before (h)
   * @param celsius temperature of the coolant (°C), if it was read
   */
  public record Mark(
      double area, double level, double toppedUp, double hotHours, OptionalDouble celsius) {}

  /**
   * Entries that an owner writes in a day, at most (our judgement: ten times what anybody does).
   */
  public static final int MOST_ENTRIES_A_DAY = 20;

  /** Mean speed of a drive, towns and passes together (km/h) (our judgement, untested). */
  private static final double USUAL_SPEED = 45;

  /** Hours hot of a distance driven (h), from kilometres. */
  public static double hoursDriven(double km) {
    return km / USUAL_SPEED;
  }

  /** Hours hot since the first of these. */
  public static double hotHours(List<Mark> marks) {
    return marks.stream().skip(1).mapToDouble(Mark::hotHours).sum();
  }

  /**
   * From the first of some marks to the last.
   *
   * @param marks at least two
   * @param liquid liquid in the system (mL), if it is known
   */
  public static LevelWatch of(List<Mark> marks, CoolantMixture coolant, OptionalDouble liquid) {
    Mark first = marks.get(0);
    Mark last = marks.get(marks.size() - 1);
    double put = marks.stream().skip(1).mapToDouble(Mark::toppedUp).sum();
    boolean read = first.celsius().isPresent() && last.celsius().isPresent();
    return new LevelWatch(
        last.area(),
        first.level() - last.level(),
        MARK_U,
        put,
        TOP_UP_U * put,
        60 * hotHours(marks),
        read ? last.celsius().getAsDouble() - first.celsius().getAsDouble() : 0,
        read ? READ_U : UNREAD_U,
        Expansion.againstCastings(coolant, Temperature.ofCelsius(Usual.ROOM))
            * liquid.orElse(Usual.LIQUID));
  }

  /** Hours it covers (h). */
  public double hours() {
    return minutes / 60;
  }

  /** Whether it was hot and under pressure between the marks; else it has no rate of hot hours. */
  public boolean wasHot() {
    return minutes > 0;
  }

  /** Refuses a watch without tank, or over less than no time. */
  public LevelWatch {
    if (!(area > 0) || !(minutes >= 0) || !(toppedUp >= 0)) {
      throw new IllegalArgumentException(
          "a level watch of " + area + " cm² over " + minutes + " min, " + toppedUp + " mL put in");
    }
  }

  /** Volume that is missing at equal temperature, ΔV (mL). */
  public double missing() {
    return area * fall / 10 + toppedUp + perKelvin * warmer;
  }

  /** Its standard uncertainty (mL). */
  public double missingU() {
    double mark = Math.hypot(area * fallU, AREA_U * area * fall) / 10;
    return Math.hypot(Math.hypot(mark, toppedUpU), perKelvin * warmerU);
  }

  /** Mean rate while hot and under pressure (mL/min); below zero is legal; of a watch that was. */
  public double rate() {
    return missing() / hot();
  }

  private double hot() {
    if (!wasHot()) {
      throw new IllegalStateException("no hours hot: it has no rate while hot");
    }
    return minutes;
  }

  /** Its standard uncertainty (mL/min); of a watch that was hot. */
  public double u() {
    return Math.hypot(missingU() / hot(), MINUTES_U * rate());
  }

  /** Whether more is missing than its uncertainty explains (5 % false alarm). */
  public boolean falls() {
    return missing() > DecisionLimits.K * missingU();
  }

  /**
   * Upper limit of the rate over all hours, not the hot ones alone, 95 % (mL/min).
   *
   * @param days between the first mark and the last (d); of none it is infinite
   */
  public double standing(double days) {
    return days > 0
        ? (Math.max(0, missing()) + DecisionLimits.K * missingU()) / (days * MINUTES_A_DAY)
        : Double.POSITIVE_INFINITY;
  }

  /**
   * Upper limit of the true rate while hot, 95 %, never less than with nothing missing (mL/min);
   * infinite where it was never hot.
   */
  public double upper() {
    return !wasHot() ? Double.POSITIVE_INFINITY : Math.max(0, rate()) + DecisionLimits.K * u();
  }
}
