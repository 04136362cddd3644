package gotera.quantity;

import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Problem;
import gotera.quantity.Understanding.Understood;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads quantities the way people type them: {@code 18}, {@code 18psi}, {@code 1,2 bar}, {@code
 * 1:30}, {@code 90s}. A number without a unit takes the unit the field names.
 */
public final class Typed {
  private static final Pattern NUMBER_AND_UNIT =
      Pattern.compile("([+\\-\\u2212]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*([^\\d\\s].*)?");
  private static final Pattern CLOCK = Pattern.compile("(\\d{1,4}):([0-5]\\d)(?::([0-5]\\d))?");
  private static final int LONGEST = 40;

  private static final Map<String, PressureUnit> PRESSURES =
      Map.of(
          "kpa", PressureUnit.KPA,
          "psi", PressureUnit.PSI,
          "lb", PressureUnit.PSI,
          "lbs", PressureUnit.PSI,
          "bar", PressureUnit.BAR);
  private static final Map<String, Double> MILLILITRES =
      Map.of("ml", 1.0, "cc", 1.0, "cl", 10.0, "dl", 100.0, "l", 1000.0, "litre", 1000.0);
  private static final Map<String, Double> SECONDS =
      Map.of("s", 1.0, "sec", 1.0, "min", 60.0, "m", 60.0, "h", 3600.0);

  private Typed() {}

  /** A gauge pressure; a bare number is in {@code assumed}. */
  public static Understanding<GaugePressure> pressure(String text, PressureUnit assumed) {
    return quantity(
        text,
        (number, unit) ->
            unit.isEmpty()
                ? Optional.of(GaugePressure.of(number, assumed))
                : Optional.ofNullable(PRESSURES.get(unit)).map(u -> GaugePressure.of(number, u)));
  }

  /** A temperature; a bare number is in degrees Celsius. */
  public static Understanding<Temperature> temperature(String text) {
    Understanding<Double> celsius =
        quantity(
            text,
            (number, unit) ->
                switch (unit) {
                  case "", "c", "°c" -> Optional.of(number);
                  case "f", "°f" -> Optional.of((number - 32) / 1.8);
                  default -> Optional.empty();
                });
    if (celsius instanceof Understood<Double> c) {
      // coolant freezes and boils inside this range; a thermometer beside it is broken
      return c.value() < -60 || c.value() > 160
          ? new NotUnderstood<>(Problem.IMPLAUSIBLE)
          : new Understood<>(Temperature.ofCelsius(c.value()));
    }
    return new NotUnderstood<>(((NotUnderstood<Double>) celsius).problem());
  }

  /**
   * A volume that is not negative.
   *
   * @param assumedMillilitres what a bare number counts in (mL): 1 or 1000
   */
  public static Understanding<Volume> volume(String text, double assumedMillilitres) {
    return notNegative(
        quantity(
            text,
            (number, unit) ->
                unit.isEmpty()
                    ? Optional.of(new Volume(number * assumedMillilitres))
                    : Optional.ofNullable(MILLILITRES.get(unit)).map(f -> new Volume(number * f))),
        v -> v.millilitres());
  }

  /**
   * A length of time: {@code 1:30} (minutes and seconds), {@code 90s}; a bare number is minutes.
   */
  public static Understanding<Duration> duration(String text) {
    Matcher clock = CLOCK.matcher(ordinaryBlanks(text));
    if (clock.matches()) {
      long first = Long.parseLong(clock.group(1));
      long second = Long.parseLong(clock.group(2));
      return new Understood<>(
          clock.group(3) == null
              ? Duration.ofSeconds(first * 60 + second)
              : Duration.ofSeconds((first * 60 + second) * 60 + Long.parseLong(clock.group(3))));
    }
    return notNegative(
        quantity(
            text,
            (number, unit) ->
                Optional.ofNullable(SECONDS.get(unit.isEmpty() ? "min" : unit))
                    .map(f -> Duration.ofMillis(Math.round(number * f * 1000)))),
        d -> d.toMillis());
  }

  /**
   * A plain number with an optional unit word that the field itself names.
   *
   * @param unit the unit's word, for example {@code mm}; it may be typed or left out
   */
  public static Understanding<Double> number(String text, String unit) {
    return quantity(
        text,
        (number, typed) ->
            typed.isEmpty() || typed.equals(unit.toLowerCase(Locale.ROOT))
                ? Optional.of(number)
                : Optional.empty());
  }

  private static <T> Understanding<T> quantity(
      String text, BiFunction<Double, String, Optional<T>> read) {
    String stripped = ordinaryBlanks(text);
    if (stripped.isEmpty()) {
      return new NotUnderstood<>(Problem.EMPTY);
    }
    Matcher m = NUMBER_AND_UNIT.matcher(stripped);
    if (stripped.length() > LONGEST || !m.matches()) {
      return new NotUnderstood<>(Problem.NO_NUMBER);
    }
    double number = Double.parseDouble(m.group(1).replace(',', '.').replace('\u2212', '-'));
    String unit = m.group(2) == null ? "" : m.group(2).strip().toLowerCase(Locale.ROOT);
    return read.apply(number, unit)
        .<Understanding<T>>map(Understood::new)
        .orElseGet(() -> new NotUnderstood<>(Problem.UNKNOWN_UNIT));
  }

  /** The text with ordinary blanks only, none around it: our own figures carry no-break spaces. */
  private static String ordinaryBlanks(String text) {
    return text.replaceAll("[\\u00a0\\u202f\\u2009]", " ").strip();
  }

  private static <T> Understanding<T> notNegative(
      Understanding<T> understanding, java.util.function.ToDoubleFunction<T> size) {
    return understanding instanceof Understood<T> u && size.applyAsDouble(u.value()) < 0
        ? new NotUnderstood<>(Problem.IMPLAUSIBLE)
        : understanding;
  }
}
