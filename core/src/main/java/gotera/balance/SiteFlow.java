package gotera.balance;

import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Volume;
import java.util.Optional;

/** What was measured at one leak site. */
public sealed interface SiteFlow {
  /** The flow as measured. */
  LeakRate rate();

  /** The pressure at that moment, if it was noted. */
  Optional<GaugePressure> pressure();

  /**
   * Drops counted, 20 to the millilitre.
   *
   * @param perMinute drops per minute, not negative
   * @param pressure the pressure at that moment
   */
  record Drops(double perMinute, Optional<GaugePressure> pressure) implements SiteFlow {
    /** Refuses negative counts. */
    public Drops {
      if (!(perMinute >= 0)) {
        throw new IllegalArgumentException("drops per minute must not be negative: " + perMinute);
      }
    }

    @Override
    public LeakRate rate() {
      return LeakRate.ofDropsPerMinute(perMinute);
    }
  }

  /**
   * Coolant caught in a vessel.
   *
   * @param volume what was caught
   * @param minutes how long it took (min), positive
   * @param u standard uncertainty of the rate (mL/min)
   * @param pressure the pressure at that moment
   */
  record Caught(Volume volume, double minutes, double u, Optional<GaugePressure> pressure)
      implements SiteFlow {
    /** Standard uncertainty of a volume drawn out of a cylinder (mL) (our judgement, untested). */
    private static final double DRAWN_U = 1;

    /** A volume that gathered inside and was drawn out (mL), in so many minutes. */
    public static Caught drawn(double millilitres, double minutes) {
      return new Caught(new Volume(millilitres), minutes, DRAWN_U / minutes, Optional.empty());
    }

    /** Refuses catches without time. */
    public Caught {
      if (!(minutes > 0) || volume.millilitres() < 0 || !(u >= 0)) {
        throw new IllegalArgumentException("a catch is a volume in a time");
      }
    }

    @Override
    public LeakRate rate() {
      return new LeakRate(volume.millilitres() / minutes);
    }
  }
}
