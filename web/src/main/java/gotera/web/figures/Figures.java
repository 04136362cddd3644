package gotera.web.figures;

import gotera.quantity.PressureUnit;
import gotera.quantity.Units;
import gotera.quantity.VolumeUnit;
import gotera.uncertainty.DecisionLimits;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/**
 * Writes figures with their units, in the units the person chose. ± is 95 %.
 *
 * @param units the units
 */
public record Figures(Units units) {
  /** Figures where nobody chose. */
  public static final Figures USUAL = new Figures(Units.USUAL);

  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter SECOND =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm:ss", Locale.ENGLISH);
  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");

  /** The unit of pressure. */
  public PressureUnit unit() {
    return units.pressure();
  }

  /** A pressure with its unit. */
  public String pressure(double kilopascals) {
    return pressureFigure(kilopascals) + "\u00a0" + unit().symbol();
  }

  /** A pressure without its unit, for reading beside one. */
  public String pressureFigure(double kilopascals) {
    return fixed(kilopascals / unit().kilopascals(), unit().decimals());
  }

  /** A step of a gauge, which may be finer than readings are shown. */
  public String step(double kilopascals) {
    return plain(kilopascals / unit().kilopascals()) + "\u00a0" + unit().symbol();
  }

  /** The half width of the 95 % interval of a pressure, rounded up, with its unit. */
  public String pressureHalfWidth(double u) {
    double power = Math.pow(10, unit().decimals());
    double half = DecisionLimits.halfWidth(u) / unit().kilopascals();
    return fixed(Math.ceil(half * power - 1e-9) / power, unit().decimals())
        + "\u00a0"
        + unit().symbol();
  }

  /** A pressure for a field, with its unit and all the figures it has. */
  public String pressureField(double kilopascals) {
    return full(kilopascals / unit().kilopascals()) + " " + unit().symbol();
  }

  /** A pressure in the chosen unit and, in brackets, in the other usual one. */
  public String pressureTwice(double kilopascals) {
    PressureUnit other = unit() == PressureUnit.PSI ? PressureUnit.KPA : PressureUnit.PSI;
    return pressure(kilopascals) + " \u00b7 " + with(other).pressure(kilopascals);
  }

  /** The same with another unit of pressure. */
  public Figures with(PressureUnit other) {
    return new Figures(units.with(other));
  }

  /** A temperature with its unit. */
  public String temperature(double celsius, int decimals) {
    return fixed(units.temperature().of(celsius), decimals)
        + "\u00a0"
        + units.temperature().symbol();
  }

  /** A temperature for a field, with its unit and all the figures it has. */
  public String temperatureField(double celsius) {
    return full(units.temperature().of(celsius)) + " " + units.temperature().symbol();
  }

  /** A leak rate, to the decimals its 95 % half width deserves, without a unit. */
  public static String rate(double rate, double u) {
    return fixed(rate, decimals(DecisionLimits.halfWidth(u)));
  }

  /** The half width of the 95 % interval, without a unit. */
  public static String halfWidth(double u) {
    double half = DecisionLimits.halfWidth(u);
    return fixed(half, decimals(half));
  }

  /** The half width of the 95 % interval as a whole percentage, of a relative uncertainty. */
  public static String halfWidthPercent(double relativeU) {
    return fixed(100 * DecisionLimits.halfWidth(relativeU), 0);
  }

  /** The half width of the 95 % interval of a drift (K/min). */
  public static String driftHalfWidth(double u) {
    return fixed(DecisionLimits.halfWidth(u), 3);
  }

  /** A share as a percentage, without a unit. */
  public static String percent(double share) {
    return plain(100 * share);
  }

  /** A bound, rounded up: a bound may grow in print, never shrink; finite. */
  public static String bound(double rate) {
    int decimals = rate < 1 ? 2 : rate < 10 ? 1 : 0;
    if (rate < 0.1) {
      decimals = 3;
    }
    double power = Math.pow(10, decimals);
    return fixed(Math.ceil(rate * power - 1e-9) / power, decimals);
  }

  /** A lower bound, rounded down to two digits. */
  public static String atLeast(double rate) {
    double power = Math.pow(10, Math.floor(Math.log10(Math.max(rate, 1e-6))) - 1);
    return plain(Math.floor(rate / power) * power);
  }

  /** A volume: small ones in mL, those of a system in the unit chosen. */
  public String volume(double millilitres) {
    VolumeUnit unit = units.volume();
    if (Math.abs(millilitres) >= unit.millilitres()) {
      return plain(Math.round(100 * millilitres / unit.millilitres()) / 100.0)
          + "\u00a0"
          + unit.symbol();
    }
    return millilitres(millilitres);
  }

  /** A small volume in mL, whatever it is. */
  public static String millilitres(double millilitres) {
    return fixed(millilitres, Math.abs(millilitres) < 10 ? 1 : 0) + "\u00a0mL";
  }

  /** A volume for a field, with its unit and all the figures it has. */
  public String volumeField(double millilitres) {
    return full(millilitres / units.volume().millilitres()) + " " + units.volume().symbol();
  }

  /** A length of time as minutes and seconds. */
  public static String minutesAndSeconds(double seconds) {
    long s = Math.round(Math.abs(seconds));
    return (seconds < -0.5 ? "\u2212" : "") + String.format(Locale.ROOT, "%d:%02d", s / 60, s % 60);
  }

  /** A moment, in the workshop's time. */
  public static String moment(Instant instant) {
    return MOMENT.format(instant.atZone(ZoneId.systemDefault()));
  }

  /** The name of the workshop's time. */
  public static String zone() {
    return ZoneId.systemDefault().getId();
  }

  /** Month and year of a moment, in the workshop's time. */
  public static String month(Instant instant) {
    return MONTH.format(instant.atZone(ZoneId.systemDefault()));
  }

  /** A moment with its second, in the workshop's time. */
  public static String momentWithSeconds(Instant instant) {
    return SECOND.format(instant.atZone(ZoneId.systemDefault()));
  }

  /** Time of day, in the workshop's time. */
  public static String timeOfDay(Instant instant) {
    return CLOCK.format(instant.atZone(ZoneId.systemDefault()));
  }

  /** A number with so many decimals and a real minus sign. */
  public static String fixed(double value, int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
    return text.startsWith("-") ? (zero ? "" : "\u2212") + text.substring(1) : text;
  }

  /** A number without needless zeros. */
  public static String plain(double value) {
    return digits(value, 4);
  }

  /** A number for a field: as many figures as were typed, and none that binary fractions add. */
  public static String full(double value) {
    return digits(value, 10);
  }

  private static String digits(double value, int digits) {
    if (!Double.isFinite(value)) {
      return "\u221e";
    }
    return new java.math.BigDecimal(value)
        .round(new java.math.MathContext(digits))
        .stripTrailingZeros()
        .toPlainString()
        .replace('-', '\u2212');
  }

  /** A number rounded to two digits: figures that are only an impression of size. */
  public static String twoDigits(double value) {
    return Double.isFinite(value) ? plain(rounded(value)) : plain(value);
  }

  /** A number rounded to two digits. */
  public static double rounded(double value) {
    return new java.math.BigDecimal(value).round(new java.math.MathContext(2)).doubleValue();
  }

  private static int decimals(double halfWidth) {
    return halfWidth >= 9.5 ? 0 : halfWidth >= 0.95 ? 1 : halfWidth >= 0.0095 ? 2 : 3;
  }
}
