package gotera.web.shell;

import gotera.quantity.PressureUnit;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/**
 * Writes figures with their units, in the unit of pressure the user chose. ± is 95 %.
 *
 * @param unit the unit of pressure
 */
public record Figures(PressureUnit unit) {
  private static final double NINETY_FIVE = 1.96;
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter SECOND =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm:ss", Locale.ENGLISH);
  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");

  /** A pressure with its unit. */
  public String pressure(double kilopascals) {
    return pressureFigure(kilopascals) + "\u00a0" + unit.symbol();
  }

  /** A pressure without its unit, for a field or beside one. */
  public String pressureFigure(double kilopascals) {
    return fixed(kilopascals / unit.kilopascals(), unit.decimals());
  }

  /** A pressure in the chosen unit and, in brackets, in the other usual one. */
  public String pressureTwice(double kilopascals) {
    PressureUnit other = unit == PressureUnit.PSI ? PressureUnit.KPA : PressureUnit.PSI;
    return pressure(kilopascals) + " \u00b7 " + new Figures(other).pressure(kilopascals);
  }

  /** A leak rate, to the decimals its 95 % half width deserves, without a unit. */
  public static String rate(double rate, double u) {
    return fixed(rate, decimals(NINETY_FIVE * u));
  }

  /** The half width of the 95 % interval, without a unit. */
  public static String halfWidth(double u) {
    return fixed(NINETY_FIVE * u, decimals(NINETY_FIVE * u));
  }

  /** A bound, rounded up: a bound may grow in print, never shrink. */
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

  /** A volume in mL, or in L from one litre. */
  public static String volume(double millilitres) {
    return Math.abs(millilitres) >= 1000
        ? plain(Math.round(millilitres / 10) / 100.0) + "\u00a0L"
        : fixed(millilitres, Math.abs(millilitres) < 10 ? 1 : 0) + "\u00a0mL";
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
    return new java.math.BigDecimal(value)
        .round(new java.math.MathContext(4))
        .stripTrailingZeros()
        .toPlainString()
        .replace('-', '\u2212');
  }

  /** A number rounded to two digits: figures that are only an impression of size. */
  public static String twoDigits(double value) {
    return plain(rounded(value));
  }

  /** A number rounded to two digits. */
  public static double rounded(double value) {
    return new java.math.BigDecimal(value).round(new java.math.MathContext(2)).doubleValue();
  }

  private static int decimals(double halfWidth) {
    return halfWidth >= 9.5 ? 0 : halfWidth >= 0.95 ? 1 : halfWidth >= 0.0095 ? 2 : 3;
  }
}
