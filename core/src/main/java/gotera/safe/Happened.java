package gotera.safe;

import java.time.Instant;
import java.util.OptionalDouble;

/** Something that bears on whether a system may be opened, and when it was. */
public sealed interface Happened {
  /** When. */
  Instant at();

  /**
   * Somebody squeezed the upper hose.
   *
   * @param soft whether it gave
   */
  record Squeezed(Instant at, boolean soft) implements Happened {}

  /**
   * The temperature was read at the thermostat housing.
   *
   * @param celsius what it was (°C)
   * @param room temperature of the room, if it was read too (°C)
   */
  record Measured(Instant at, double celsius, OptionalDouble room) implements Happened {}

  /**
   * A gauge on the system was read.
   *
   * @param kilopascals what it showed (kPa)
   */
  record GaugeRead(Instant at, double kilopascals) implements Happened {}

  /** The pressure was let off. */
  record Vented(Instant at) implements Happened {}

  /** The engine ran, or somebody drove. */
  record Ran(Instant at) implements Happened {}

  /** A person qualified for high voltage has followed the maker's procedure. */
  record Qualified(Instant at) implements Happened {}
}
