package gotera.said;

import gotera.safe.Happened;
import java.time.Instant;
import java.util.OptionalDouble;

/** What bears on opening the system. */
public sealed interface OpeningSaid extends Said {
  /** What it says of opening. */
  Happened happened(Instant at);

  /**
   * The upper hose was squeezed.
   *
   * @param soft whether it gave
   */
  record Squeezed(boolean soft) implements OpeningSaid {
    @Override
    public Happened happened(Instant at) {
      return new Happened.Squeezed(at, soft);
    }
  }

  /** The pressure was let off. */
  record Vented() implements OpeningSaid {
    @Override
    public Happened happened(Instant at) {
      return new Happened.Vented(at);
    }
  }

  /** The engine ran. */
  record EngineRan() implements OpeningSaid {
    @Override
    public Happened happened(Instant at) {
      return new Happened.Ran(at);
    }
  }

  /** A person qualified for high voltage has followed the maker's procedure. */
  record Qualified() implements OpeningSaid {
    @Override
    public Happened happened(Instant at) {
      return new Happened.Qualified(at);
    }
  }

  /**
   * The temperature was read at the thermostat housing.
   *
   * @param celsius of the coolant (°C)
   * @param room of the room, where it was read too (°C)
   */
  record TemperatureRead(double celsius, OptionalDouble room) implements OpeningSaid {
    @Override
    public Happened happened(Instant at) {
      return new Happened.Measured(at, celsius, room);
    }
  }
}
