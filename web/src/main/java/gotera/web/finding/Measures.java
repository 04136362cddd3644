package gotera.web.finding;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was measured with a finding.
 *
 * @param values each in its unit
 * @param gates which ways were open meanwhile
 */
public record Measures(Map<Measure, Double> values, Optional<Gates> gates) {
  /** Nothing was measured. */
  public static final Measures NONE = new Measures(Map.of(), Optional.empty());

  /** Keeps its own copy. */
  public Measures {
    values = Map.copyOf(values);
  }

  /** Which ways were open while the engine ran: past the thermostat, through the heater. */
  public record Gates(boolean thermostat, boolean heater) {}

  /** These and one more. */
  public Measures and(Measure measure, double value) {
    Map<Measure, Double> more = new EnumMap<>(Measure.class);
    more.putAll(values);
    more.put(measure, value);
    return new Measures(more, gates);
  }

  /** These and one more, where it was measured. */
  public Measures and(Measure measure, OptionalDouble value) {
    return value.isPresent() ? and(measure, value.getAsDouble()) : this;
  }

  /** What was measured, in its unit. */
  public OptionalDouble get(Measure measure) {
    Double value = values.get(measure);
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** A volume (mL). */
  public OptionalDouble millilitres() {
    return get(Measure.MILLILITRES);
  }

  /** Volume fraction of concentrate (1). */
  public OptionalDouble strength() {
    return get(Measure.STRENGTH);
  }

  /** A temperature of the coolant (°C). */
  public OptionalDouble celsius() {
    return get(Measure.CELSIUS);
  }

  /** The temperature of the room (°C). */
  public OptionalDouble ambientCelsius() {
    return get(Measure.AMBIENT_CELSIUS);
  }

  /** How long it ran (min). */
  public OptionalDouble minutes() {
    return get(Measure.MINUTES);
  }

  /** A size (mm). */
  public OptionalDouble millimetres() {
    return get(Measure.MILLIMETRES);
  }

  /** Temperature of the lower hose (°C). */
  public OptionalDouble lowerCelsius() {
    return get(Measure.LOWER_CELSIUS);
  }

  /** A volume (mL). */
  public static Measures volume(OptionalDouble millilitres) {
    return NONE.and(Measure.MILLILITRES, millilitres);
  }

  /** A volume (mL) of a strength (1). */
  public static Measures mixture(double millilitres, double strength) {
    return NONE.and(Measure.MILLILITRES, millilitres).and(Measure.STRENGTH, strength);
  }

  /** A strength (1), by the temperature at which it freezes (°C). */
  public static Measures freezing(double celsius, double strength) {
    return NONE.and(Measure.CELSIUS, celsius).and(Measure.STRENGTH, strength);
  }

  /** Temperatures of coolant and room (°C). */
  public static Measures temperatures(OptionalDouble celsius, OptionalDouble ambientCelsius) {
    return NONE.and(Measure.CELSIUS, celsius).and(Measure.AMBIENT_CELSIUS, ambientCelsius);
  }

  /** A run of so many minutes. */
  public static Measures run(double minutes, Gates gates) {
    return new Measures(Map.of(Measure.MINUTES, minutes), Optional.of(gates));
  }

  /** Temperatures of the upper and the lower hose (°C). */
  public static Measures hoses(double upper, double lower) {
    return NONE.and(Measure.CELSIUS, upper).and(Measure.LOWER_CELSIUS, lower);
  }

  /** A volume that was drawn off (mL) after so many minutes under pressure. */
  public static Measures drawnOff(OptionalDouble millilitres, OptionalDouble minutes) {
    return volume(millilitres).and(Measure.MINUTES, minutes);
  }

  /** A size (mm). */
  public static Measures size(OptionalDouble millimetres) {
    return NONE.and(Measure.MILLIMETRES, millimetres);
  }
}
