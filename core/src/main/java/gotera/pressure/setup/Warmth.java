package gotera.pressure.setup;

import gotera.pressure.trace.Soak;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Thermometer;
import java.util.Optional;

/**
 * What a plan says of the temperature during its hold.
 *
 * @param drift expected drift (K/min)
 * @param u its standard uncertainty (K/min)
 * @param thermometer the thermometer that is read during the hold, if one is
 */
public record Warmth(double drift, double u, Optional<Thermometer> thermometer) {
  /** What a drift changes by on its own until the hold, as a share of it (our judgement). */
  private static final double PRE_HOLD_SHARE = 0.15;

  /** The least of it (K/min) (our judgement, untested). */
  private static final double PRE_HOLD_LEAST = 0.002;

  /** Nobody reads it: how long the vehicle stood says what it may do. */
  public static Warmth of(Soak soak) {
    return new Warmth(soak.drift(), soak.uncertainty(), Optional.empty());
  }

  /** Read by a probe, while it drifts so. */
  public static Warmth read(double drift, Thermometer thermometer) {
    double u = Math.hypot(TemperatureTrack.PROBE_SHARE * drift, TemperatureTrack.FLOOR);
    return new Warmth(drift, u, Optional.of(thermometer));
  }

  /** Measured by a hold before, at a pressure at which nothing leaks. */
  public static Warmth preHold(double drift) {
    return new Warmth(drift, Math.hypot(PRE_HOLD_LEAST, PRE_HOLD_SHARE * drift), Optional.empty());
  }
}
