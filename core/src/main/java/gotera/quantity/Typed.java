package gotera.quantity;

import gotera.quantity.Understanding.Ambiguous;
import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Problem;
import gotera.quantity.Understanding.Understood;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads quantities the way people type them: {@code 18}, {@code 18psi}, {@code 1,2 bar}, {@code
 * 1:30}, {@code 90s}, {@code 2 gal}. A number without a unit takes the unit the field names. What
 * can mean two things, as {@code 1,200} does, is asked back.
 */
public final class Typed {
  private static final Pattern NUMBER_AND_UNIT =
      Pattern.compile(
          "([+\\-\\u2212]?(?:\\d{1,3}(?:,\\d{3})+\\.\\d+|\\d{1,3}(?:\\.\\d{3})+,\\d+"
              + "|\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*([^\\d\\s.,].*)?");

  /** A comma before three figures: of thousands, or of decimals. */
  private static final Pattern COMMA_OF_TWO_MEANINGS =
      Pattern.compile("[+\\-\\u2212]?[1-9]\\d{0,2},\\d{3}");

  private static final Pattern CLOCK = Pattern.compile("(\\d{1,4}):([0-5]\\d)(?::([0-5]\\d))?");
  private static final int LONGEST = 40;

  /** A bare number this high in a field of minutes may well be seconds (our judgement). */
  private static final double AS_MANY_SECONDS = 60;

  private static final Map<String, PressureUnit> PRESSURES =
      Map.ofEntries(
          Map.entry("kpa", PressureUnit.KPA),
          Map.entry("psi", PressureUnit.PSI),
          Map.entry("psig", PressureUnit.PSI),
          Map.entry("lb", PressureUnit.PSI),
          Map.entry("lbs", PressureUnit.PSI),
          Map.entry("pound", PressureUnit.PSI),
          Map.entry("pounds", PressureUnit.PSI),
          Map.entry("bar", PressureUnit.BAR),
          Map.entry("barg", PressureUnit.BAR),
          Map.entry("inhg", PressureUnit.INCH_OF_MERCURY),
          Map.entry("in hg", PressureUnit.INCH_OF_MERCURY),
          Map.entry("in.hg", PressureUnit.INCH_OF_MERCURY),
          Map.entry("\"hg", PressureUnit.INCH_OF_MERCURY));

  private static final double FLUID_OUNCE = 29.5735295625; // mL, US (NIST SP 811:2008, B.8)

  private static final Map<String, Double> MILLILITRES = millilitres();
  private static final Map<String, Double> SECONDS = times(1);

  /** What other units count in the one a field names. */
  private static final Map<String, Map<String, Double>> CONVERTED =
      Map.ofEntries(
          Map.entry("mm", lengths()),
          Map.entry("min", times(60)),
          Map.entry("s", SECONDS),
          Map.entry("h", times(3600)),
          Map.entry("weeks", times(7 * 86_400)),
          Map.entry("m", new Words().of(1, "m|metre|metres").of(0.3048, "ft|feet|foot").all()),
          Map.entry("cm\u00b2", new Words().of(1, "cm\u00b2|cm2").of(6.4516, "in\u00b2|in2").all()),
          Map.entry("K", new Words().of(1, "k|c|\u00b0c").of(5 / 9.0, "f|\u00b0f").all()),
          Map.entry("mL", MILLILITRES));

  private static Map<String, Double> millilitres() {
    return new Words()
        .of(1, "ml|cc|cm3|cm\u00b3|millilitre|millilitres|milliliter|milliliters")
        .of(10, "cl")
        .of(100, "dl")
        .of(1000, "l|litre|litres|liter|liters|ltr")
        .of(VolumeUnit.GALLON.millilitres(), "gal|gallon|gallons")
        .of(VolumeUnit.QUART.millilitres(), "qt|qts|quart|quarts")
        .of(VolumeUnit.PINT.millilitres(), "pt|pint|pints")
        .of(FLUID_OUNCE, "floz|fl oz|fl. oz|fl.oz|oz|ounce|ounces|fluid ounce|fluid ounces")
        .all();
  }

  private static Map<String, Double> times(double seconds) {
    return new Words()
        .of(1 / seconds, "s|sec|secs|second|seconds")
        .of(60 / seconds, "min|mins|minute|minutes|m")
        .of(3600 / seconds, "h|hr|hrs|hour|hours")
        .of(86_400 / seconds, "d|day|days")
        .of(7 * 86_400 / seconds, "week|weeks|wk|wks")
        .of(365.25 / 12 * 86_400 / seconds, "month|months")
        .of(365.25 * 86_400 / seconds, "year|years")
        .all();
  }

  private static Map<String, Double> lengths() {
    return new Words().of(1, "mm").of(10, "cm").of(25.4, "in|inch|inches|\"|\u2033").all();
  }

  /** Words of units, and what one of each counts. */
  private static final class Words {
    private final Map<String, Double> all = new HashMap<>();

    Words of(double counts, String words) {
      for (String word : words.split("\\|", -1)) {
        all.put(word, counts);
      }
      return this;
    }

    Map<String, Double> all() {
      return Map.copyOf(all);
    }
  }

  private Typed() {}

  /** A gauge pressure; a bare number is in {@code assumed}. */
  public static Understanding<GaugePressure> pressure(String text, PressureUnit assumed) {
    return quantity(
        text,
        unit ->
            Optional.ofNullable(unit.isEmpty() ? assumed : PRESSURES.get(unit))
                .map(u -> n -> GaugePressure.of(n, u)));
  }

  /** The unit of pressure somebody typed; {@code assumed} where none. */
  public static PressureUnit pressureUnit(String text, PressureUnit assumed) {
    Matcher m = NUMBER_AND_UNIT.matcher(ordinaryBlanks(text));
    return m.matches() ? PRESSURES.getOrDefault(unit(m), assumed) : assumed;
  }

  /** A temperature; a bare number is in degrees Celsius. */
  public static Understanding<Temperature> temperature(String text) {
    return temperature(text, TemperatureUnit.CELSIUS);
  }

  /** A temperature; a bare number is in {@code assumed}. */
  public static Understanding<Temperature> temperature(String text, TemperatureUnit assumed) {
    Understanding<Double> read =
        quantity(
            text,
            unit ->
                switch (unit) {
                  case "" -> Optional.of(assumed::celsius);
                  case "c", "\u00b0c", "\u00b0 c", "deg c" ->
                      Optional.of(TemperatureUnit.CELSIUS::celsius);
                  case "f", "\u00b0f", "\u00b0 f", "deg f" ->
                      Optional.of(TemperatureUnit.FAHRENHEIT::celsius);
                  default -> Optional.empty();
                });
    if (read instanceof Understood<Double> c) {
      // coolant freezes and boils inside this range; a thermometer beside it is broken
      return c.value() < -60 || c.value() > 160
          ? new NotUnderstood<>(Problem.IMPLAUSIBLE)
          : new Understood<>(Temperature.ofCelsius(c.value()));
    }
    return new NotUnderstood<>(
        read instanceof NotUnderstood<Double> not ? not.problem() : Problem.IMPLAUSIBLE);
  }

  /**
   * A volume that is not negative.
   *
   * @param assumedMillilitres what a bare number counts in (mL)
   */
  public static Understanding<Volume> volume(String text, double assumedMillilitres) {
    return notNegative(
        quantity(
            text,
            unit ->
                Optional.ofNullable(
                        unit.isEmpty() ? Double.valueOf(assumedMillilitres) : MILLILITRES.get(unit))
                    .map(f -> n -> new Volume(n * f))),
        v -> v.millilitres());
  }

  /**
   * A length of time: {@code 1:30} (minutes and seconds), {@code 90s}; a bare number is minutes,
   * and is asked back where it would be an hour or more.
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
    Understanding<Duration> read =
        notNegative(
            quantity(
                text,
                unit ->
                    Optional.ofNullable(SECONDS.get(unit.isEmpty() ? "min" : unit))
                        .map(f -> n -> Duration.ofMillis(Math.round(n * f * 1000)))),
            d -> d.toMillis());
    OptionalDouble bare = bare(text);
    return read instanceof Understood<Duration> && bare.orElse(0) >= AS_MANY_SECONDS
        ? new Ambiguous<>(
            List.of(
                Duration.ofMillis(Math.round(bare.getAsDouble() * 1000)),
                Duration.ofMillis(Math.round(bare.getAsDouble() * 60_000))))
        : read;
  }

  /**
   * A plain number with an optional unit word that the field itself names.
   *
   * @param unit the unit's word, for example {@code mm}; it may be typed or left out, and where
   *     another of the same quantity is typed it is converted
   */
  public static Understanding<Double> number(String text, String unit) {
    Map<String, Double> others = CONVERTED.getOrDefault(unit, Map.of());
    return quantity(
        text,
        typed ->
            typed.isEmpty() || typed.equals(unit.toLowerCase(Locale.ROOT))
                ? Optional.of(n -> n)
                : Optional.ofNullable(others.get(typed)).map(f -> n -> n * f));
  }

  /** The number, where only a number stands there and it has one meaning. */
  public static OptionalDouble bare(String text) {
    return number(text, "") instanceof Understood<Double> u
        ? OptionalDouble.of(u.value())
        : OptionalDouble.empty();
  }

  /**
   * Reads a number and its unit.
   *
   * @param meaning what the unit's word makes of a number; empty for a word that is none
   */
  private static <T> Understanding<T> quantity(
      String text, java.util.function.Function<String, Optional<DoubleFunction<T>>> meaning) {
    String stripped = ordinaryBlanks(text);
    if (stripped.isEmpty()) {
      return new NotUnderstood<>(Problem.EMPTY);
    }
    Matcher m = NUMBER_AND_UNIT.matcher(stripped);
    if (stripped.length() > LONGEST || !m.matches()) {
      return new NotUnderstood<>(Problem.NO_NUMBER);
    }
    Optional<DoubleFunction<T>> unit = meaning.apply(unit(m));
    if (unit.isEmpty()) {
      return new NotUnderstood<>(Problem.UNKNOWN_UNIT);
    }
    List<T> meanings = new ArrayList<>();
    for (double number : numbers(m.group(1))) {
      meanings.add(unit.get().apply(number));
    }
    return meanings.size() == 1 ? new Understood<>(meanings.get(0)) : new Ambiguous<>(meanings);
  }

  private static String unit(Matcher m) {
    return m.group(2) == null
        ? ""
        : m.group(2).strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
  }

  /** What figures can mean. */
  private static double[] numbers(String figures) {
    String text = figures.replace('\u2212', '-');
    if (COMMA_OF_TWO_MEANINGS.matcher(text).matches()) {
      return new double[] {
        Double.parseDouble(text.replace(",", "")), Double.parseDouble(text.replace(',', '.'))
      };
    }
    int comma = text.lastIndexOf(',');
    int point = text.lastIndexOf('.');
    if (comma >= 0 && point >= 0) {
      // the last of the two parts the decimals
      return new double[] {
        Double.parseDouble(
            comma < point ? text.replace(",", "") : text.replace(".", "").replace(',', '.'))
      };
    }
    return new double[] {Double.parseDouble(text.replace(',', '.'))};
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
