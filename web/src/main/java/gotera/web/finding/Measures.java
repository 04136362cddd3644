package gotera.web.finding;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was measured with a finding, each in its unit.
 *
 * @param millilitres a volume (mL)
 * @param strength volume fraction of concentrate (1)
 * @param celsius a temperature of the coolant (°C)
 * @param ambientCelsius the temperature of the room (°C)
 * @param minutes how long it ran (min)
 * @param millimetres a size (mm)
 * @param lowerCelsius temperature of the lower hose (°C), where both were taken
 * @param gates which ways were open meanwhile
 */
public record Measures(
    OptionalDouble millilitres,
    OptionalDouble strength,
    OptionalDouble celsius,
    OptionalDouble ambientCelsius,
    OptionalDouble minutes,
    OptionalDouble millimetres,
    OptionalDouble lowerCelsius,
    Optional<Gates> gates) {
  private static final OptionalDouble NO = OptionalDouble.empty();

  /** Nothing was measured. */
  public static final Measures NONE = new Measures(NO, NO, NO, NO, NO, NO, NO, Optional.empty());

  /** Which ways were open while the engine ran: past the thermostat, through the heater. */
  public record Gates(boolean thermostat, boolean heater) {}

  /** A volume (mL). */
  public static Measures volume(OptionalDouble millilitres) {
    return new Measures(millilitres, NO, NO, NO, NO, NO, NO, Optional.empty());
  }

  /** A volume (mL) of a strength (1). */
  public static Measures mixture(double millilitres, double strength) {
    return new Measures(of(millilitres), of(strength), NO, NO, NO, NO, NO, Optional.empty());
  }

  /** A strength (1), by the temperature at which it freezes (°C). */
  public static Measures freezing(double celsius, double strength) {
    return new Measures(NO, of(strength), of(celsius), NO, NO, NO, NO, Optional.empty());
  }

  /** Temperatures of coolant and room (°C). */
  public static Measures temperatures(OptionalDouble celsius, OptionalDouble ambientCelsius) {
    return new Measures(NO, NO, celsius, ambientCelsius, NO, NO, NO, Optional.empty());
  }

  /** A run of so many minutes. */
  public static Measures run(double minutes, Gates gates) {
    return new Measures(NO, NO, NO, NO, of(minutes), NO, NO, Optional.of(gates));
  }

  /** Temperatures of the upper and the lower hose (°C) after so many minutes. */
  public static Measures hoses(double upper, double lower, double minutes) {
    return new Measures(NO, NO, of(upper), NO, of(minutes), NO, of(lower), Optional.empty());
  }

  /** A volume that was drawn off (mL) after so many minutes under pressure. */
  public static Measures drawnOff(OptionalDouble millilitres, OptionalDouble minutes) {
    return new Measures(millilitres, NO, NO, NO, minutes, NO, NO, Optional.empty());
  }

  /** A size (mm). */
  public static Measures size(OptionalDouble millimetres) {
    return new Measures(NO, NO, NO, NO, NO, millimetres, NO, Optional.empty());
  }

  private static OptionalDouble of(double value) {
    return OptionalDouble.of(value);
  }
}
