package gotera.balance;

import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Volume;
import java.util.Optional;
import java.util.OptionalDouble;

/** What was measured at one leak site. */
public sealed interface SiteFlow {
  /** The flow as measured. */
  LeakRate rate();

  /** The pressure at that moment, if it was noted. */
  Optional<GaugePressure> pressure();

  /**
   * Standard uncertainty of this one alone (mL/min); empty for drops, whose size is one unknown for
   * all sites of a job.
   */
  default OptionalDouble ownU() {
    return OptionalDouble.empty();
  }

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
   * A rate that was measured at the site.
   *
   * @param rate the rate
   * @param u its standard uncertainty (mL/min), not negative
   * @param pressure the pressure at that moment
   */
  record Metered(LeakRate rate, double u, Optional<GaugePressure> pressure) implements SiteFlow {
    /** Refuses rates that are none. */
    public Metered {
      if (rate.millilitresPerMinute() < 0 || !(u >= 0)) {
        throw new IllegalArgumentException(rate + " \u00b1 " + u);
      }
    }

    @Override
    public OptionalDouble ownU() {
      return OptionalDouble.of(u);
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

    @Override
    public OptionalDouble ownU() {
      return OptionalDouble.of(u);
    }
  }
}
