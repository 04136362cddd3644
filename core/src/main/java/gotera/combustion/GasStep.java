package gotera.combustion;

import java.time.Instant;
import java.util.OptionalDouble;

/** Something that happened in a check for combustion gas. */
public sealed interface GasStep {
  /** When. */
  Instant at();

  /**
   * New fluid was put in and looked at; whatever an earlier filling showed is over.
   *
   * @param blue whether it is blue, to the mark
   */
  record Filled(Instant at, boolean blue) implements GasStep {}

  /**
   * The level was read, perhaps after some was drawn down.
   *
   * @param gap from the level up to the tester (mm)
   * @param out what was taken out (mL)
   * @param celsius how warm the coolant was (°C), where it was read
   */
  record Level(Instant at, double gap, OptionalDouble out, OptionalDouble celsius)
      implements GasStep {}

  /** The engine was started. */
  record Started(Instant at) implements GasStep {}

  /**
   * A temperature was read.
   *
   * @param celsius at the upper hose or the housing (°C)
   */
  record Warmed(Instant at, double celsius) implements GasStep {}

  /** The lower hose turned hot: the thermostat is open. */
  record Opened(Instant at) implements GasStep {}

  /** The bulb begins to draw. */
  record Drawing(Instant at) implements GasStep {}

  /** It has drawn without a break until now. */
  record Drawn(Instant at) implements GasStep {}

  /** The bulb stood against a vacuum. */
  record Stalled(Instant at) implements GasStep {}

  /** Coolant reached the fluid. */
  record Flooded(Instant at) implements GasStep {}

  /**
   * The fluid was read.
   *
   * @param colour by eye
   */
  record Read(Instant at, GasColour colour) implements GasStep {}

  /**
   * The exhaust was drawn through the fluid.
   *
   * @param turned whether that turned it
   */
  record Controlled(Instant at, boolean turned) implements GasStep {}
}
