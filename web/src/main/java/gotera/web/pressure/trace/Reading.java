package gotera.web.pressure.trace;

import java.util.OptionalDouble;

/**
 * A reading to keep.
 *
 * @param seconds when (s)
 * @param kilopascals the gauge (kPa)
 * @param celsius the temperature, if it was read (°C)
 */
public record Reading(double seconds, double kilopascals, OptionalDouble celsius) {
  double kelvinless() {
    return celsius.orElse(Double.NaN);
  }
}
