package gotera.timing;

import java.time.Duration;
import java.util.Optional;

/**
 * How a body cools: Newton's law, T(t) = T_a + (T_0 − T_a)·e^(−t/τ). Two readings give τ.
 *
 * @param ambient temperature of the room (°C)
 * @param last temperature at the last reading (°C)
 * @param minutes time constant τ (min)
 */
public record CoolDown(double ambient, double last, double minutes) {
  /** An opened system must be below this, and its hose soft (°C) (common practice, no source). */
  public static final double SAFE_TO_OPEN = 45;

  /** Time constant until two readings give one (min) (our judgement, untested). */
  public static final double USUAL_MINUTES = 90;

  /**
   * From two readings.
   *
   * @param first the earlier reading (°C)
   * @param last the later one (°C)
   * @param between time between them (min), above zero
   * @return empty where they do not cool towards the room
   */
  public static Optional<CoolDown> of(double ambient, double first, double last, double between) {
    if (!(between > 0 && last > ambient && first > last)) {
      return Optional.empty();
    }
    return Optional.of(
        new CoolDown(ambient, last, between / Math.log((first - ambient) / (last - ambient))));
  }

  /** From one reading, with the usual time constant. */
  public static CoolDown usual(double ambient, double last) {
    return new CoolDown(ambient, last, USUAL_MINUTES);
  }

  /** Temperature some minutes after the last reading (°C). */
  public double after(double later) {
    return ambient + (last - ambient) * Math.exp(-later / minutes);
  }

  /** Time from the last reading until it is this cold; empty where the room is not that cold. */
  public Optional<Duration> until(double celsius) {
    if (last <= celsius) {
      return Optional.of(Duration.ZERO);
    }
    if (ambient >= celsius) {
      return Optional.empty();
    }
    double wait = minutes * Math.log((last - ambient) / (celsius - ambient));
    return Optional.of(Duration.ofSeconds((long) Math.ceil(60 * wait)));
  }

  /** Drift of the temperature some minutes after the last reading (K/min), negative. */
  public double drift(double later) {
    return -(after(later) - ambient) / minutes;
  }
}
