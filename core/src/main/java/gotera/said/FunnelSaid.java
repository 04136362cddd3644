package gotera.said;

import gotera.bubble.FunnelStep;
import gotera.bubble.FunnelStep.Size;
import gotera.word.Worded;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;

/** A step of the watch of bubbles in a funnel. */
public sealed interface FunnelSaid extends Said {
  /** What it is to the computation; nothing where it says nothing to that. */
  default Optional<FunnelStep> step(Instant at) {
    return Optional.empty();
  }

  /**
   * The funnel is on.
   *
   * @param area its free area (cm²), where it was measured
   */
  record SetUp(OptionalDouble area) implements FunnelSaid {}

  /** The level was read, above the mark (mm). */
  record Level(double millimetres) implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.Level(at, millimetres));
    }
  }

  /** The mark was moved to where the level is. */
  record Moved() implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.Moved(at));
    }
  }

  /** What is put in. */
  enum Liquid implements Worded {
    WATER,
    /** Coolant as it is in there. */
    COOLANT
  }

  /**
   * Something was put in.
   *
   * @param liquid what
   * @param millilitres how much (mL)
   */
  record ToppedUp(Liquid liquid, double millilitres) implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.ToppedUp(at, millilitres));
    }
  }

  /** A hose was squeezed, the engine revved. */
  record Squeezed() implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.Squeezed(at));
    }
  }

  /**
   * Both hoses were read.
   *
   * @param upper upper hose (°C)
   * @param lower lower hose (°C)
   */
  record HosesRead(double upper, double lower) implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.Warmed(at, upper, lower));
    }
  }

  /**
   * Bubbles came since the last were told.
   *
   * @param size how large
   * @param count how many
   */
  record Bubbles(Size size, int count) implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.Bubbles(at, size, count));
    }
  }

  /** Calm, then a burst. */
  record Burst() implements FunnelSaid {
    @Override
    public Optional<FunnelStep> step(Instant at) {
      return Optional.of(new FunnelStep.Burst(at));
    }
  }

  /** The watch was ended. */
  record Ended() implements FunnelSaid, EndsRun {}
}
