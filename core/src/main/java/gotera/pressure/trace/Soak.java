package gotera.pressure.trace;

/** How long the vehicle has stood; says something about drift when no thermometer does. */
public sealed interface Soak {
  /** Time constant of cooling (min), 1.5 h (our judgement, untested). */
  double TIME_CONSTANT = 90;

  /**
   * Excess over the room when the engine was stopped (K): 85 °C in 20 °C (our judgement, untested).
   */
  double EXCESS = 65;

  /** Expected drift (K/min). */
  double drift();

  /** Standard uncertainty of the drift (K/min). */
  double uncertainty();

  /** Stood overnight in a steady room: 0.01 K/min (our judgement, untested). */
  record Overnight() implements Soak {
    @Override
    public double drift() {
      return 0;
    }

    @Override
    public double uncertainty() {
      return 0.01;
    }
  }

  /**
   * Stood for some hours after a drive: Newton's rate of cooling, with half of it as uncertainty.
   *
   * @param hours hours stood (h), not negative
   */
  record Hours(double hours) implements Soak {
    /** Refuses negative time. */
    public Hours {
      if (!(hours >= 0)) {
        throw new IllegalArgumentException("hours stood must not be negative: " + hours);
      }
    }

    @Override
    public double drift() {
      return -EXCESS / TIME_CONSTANT * Math.exp(-hours * 60 / TIME_CONSTANT);
    }

    @Override
    public double uncertainty() {
      return Math.max(0.01, -drift() / 2);
    }
  }

  /**
   * Nothing is known: 0.5 K/min, for it may still be warm (our judgement, untested). Less would
   * call a hold on an engine that cools from 40 °C a leak.
   */
  record Unknown() implements Soak {
    @Override
    public double drift() {
      return 0;
    }

    @Override
    public double uncertainty() {
      return 0.5;
    }
  }

  /**
   * What a probe would have shown that hardly moved: what no probe sees is left.
   *
   * @param uncertainty standard uncertainty of no drift (K/min)
   */
  record Probed(double uncertainty) implements Soak {
    @Override
    public double drift() {
      return 0;
    }
  }
}
