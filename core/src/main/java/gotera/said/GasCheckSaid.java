package gotera.said;

import gotera.combustion.GasColour;
import gotera.combustion.GasStep;
import gotera.word.Worded;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;

/** A step of the check for combustion gas that is led step by step. */
public sealed interface GasCheckSaid extends Said {
  /** What it is to the computation; nothing where it says nothing to that. */
  default Optional<GasStep> step(Instant at) {
    return Optional.empty();
  }

  /** Where a tester can stand. */
  enum Filler implements Worded {
    NECK,
    TANK
  }

  /**
   * The tester stands on its filler.
   *
   * @param filler which
   * @param area its free area (cm²), where it was measured
   */
  record SetUp(Filler filler, OptionalDouble area) implements GasCheckSaid {}

  /** Fresh fluid was put in: blue, or not. */
  record Filled(boolean blue) implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Filled(at, blue));
    }
  }

  /**
   * The level was read, perhaps after some was drawn down.
   *
   * @param gap from the level up to the tester (mm)
   * @param out what was taken out (mL)
   * @param celsius how warm the coolant was (°C)
   */
  record Level(double gap, OptionalDouble out, OptionalDouble celsius) implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Level(at, gap, out, celsius));
    }
  }

  /** The engine was started. */
  record Started() implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Started(at));
    }
  }

  /** A temperature was read (°C). */
  record Warmed(double celsius) implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Warmed(at, celsius));
    }
  }

  /** The thermostat opened. */
  record Opened() implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Opened(at));
    }
  }

  /** The bulb begins to draw. */
  record Drawing() implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Drawing(at));
    }
  }

  /** It has drawn without a break until now. */
  record Drawn() implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Drawn(at));
    }
  }

  /** The bulb stood against a vacuum. */
  record Stalled() implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Stalled(at));
    }
  }

  /** Coolant reached the fluid. */
  record Flooded() implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Flooded(at));
    }
  }

  /** The fluid was read. */
  record ColourRead(GasColour colour) implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Read(at, colour));
    }
  }

  /** The exhaust was drawn through the fluid, and turned it or not. */
  record Controlled(boolean turned) implements GasCheckSaid {
    @Override
    public Optional<GasStep> step(Instant at) {
      return Optional.of(new GasStep.Controlled(at, turned));
    }
  }

  /** The check was ended; what comes later is another one. */
  record Ended() implements GasCheckSaid, EndsRun {}
}
