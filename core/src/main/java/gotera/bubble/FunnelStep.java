package gotera.bubble;

import gotera.word.Worded;
import java.time.Instant;

/** Something that happened at a funnel on the filler. */
public sealed interface FunnelStep {
  /** When. */
  Instant at();

  /**
   * The level was read.
   *
   * @param level above the mark, below it with a minus (mm)
   */
  record Level(Instant at, double level) implements FunnelStep {}

  /** The mark was moved to where the level is. */
  record Moved(Instant at) implements FunnelStep {}

  /**
   * Coolant or water was put in.
   *
   * @param millilitres how much (mL), negative where it was taken out
   */
  record ToppedUp(Instant at, double millilitres) implements FunnelStep {}

  /** A hose was squeezed, the engine revved: what the level did meanwhile says nothing. */
  record Squeezed(Instant at) implements FunnelStep {}

  /**
   * Both hoses were felt with a thermometer.
   *
   * @param upper upper hose (°C)
   * @param lower lower hose (°C)
   */
  record Warmed(Instant at, double upper, double lower) implements FunnelStep {}

  /**
   * Bubbles came up since the last were told.
   *
   * @param size how large
   * @param count how many
   */
  record Bubbles(Instant at, Size size, int count) implements FunnelStep {
    /** Their volume (mL). */
    double millilitres() {
      return count * size.millilitres();
    }
  }

  /** Calm, then a burst: the level sucked down and thrown back. */
  record Burst(Instant at) implements FunnelStep {}

  /** Sizes of bubbles by eye. */
  enum Size implements Worded {
    /** Like a pinhead. */
    SMALL(0.02),
    /** Like a pea. */
    PEA(0.1),
    /** Larger. */
    LARGE(0.5);

    private final double millilitres;

    Size(double millilitres) {
      this.millilitres = millilitres;
    }

    /** Volume of one (mL) (our judgement, untested). */
    public double millilitres() {
      return millilitres;
    }
  }
}
