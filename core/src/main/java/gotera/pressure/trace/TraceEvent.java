package gotera.pressure.trace;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that happened during a pressure test.
 *
 * @param seconds when, on the trace's clock (s)
 * @param kind what
 * @param millilitres volume let out, with a draw only (mL)
 */
public record TraceEvent(double seconds, Kind kind, OptionalDouble millilitres) {

  /** An event without a volume. */
  public static TraceEvent at(double seconds, Kind kind) {
    return new TraceEvent(seconds, kind, OptionalDouble.empty());
  }

  /** What can happen during a pressure test. */
  public enum Kind {
    /** The pump was worked. */
    PUMPED("pumped"),
    /** The valve to the pump was shut: the hold begins. */
    VALVE_SHUT("valve-shut"),
    /** Someone squeezed a hose. */
    SQUEEZED("squeezed"),
    /** A measured volume was let out under pressure. */
    DRAW("draw"),
    /** A drop was seen. */
    DROP_SEEN("drop-seen"),
    /** The first bead on a dried place was seen. */
    FIRST_BEAD("first-bead"),
    /** The place of the leak was seen. */
    PLACE_SEEN("place-seen"),
    /** The pressure was let off: the test is over. */
    RELEASED("released");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    /** The word for it in files, addresses and messages. */
    public String word() {
      return word;
    }

    /** The kind a word means. */
    public static Optional<Kind> of(String word) {
      for (Kind kind : values()) {
        if (kind.word.equals(word)) {
          return Optional.of(kind);
        }
      }
      return Optional.empty();
    }
  }
}
