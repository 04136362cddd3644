package gotera.pressure.trace;

import gotera.word.Worded;
import java.util.OptionalDouble;

/**
 * Something that happened during a pressure test.
 *
 * @param seconds when, on the trace's clock (s)
 * @param kind what
 * @param millilitres volume let out, with a draw only (mL)
 */
public record TraceEvent(double seconds, Kind kind, OptionalDouble millilitres) {

  /** A clock that people read may be so much ahead (s) (our judgement, untested). */
  public static final double CLOCKS_APART = 5;

  /**
   * Readings of several hands that arrive within so long of each other were made at the same moment
   * (s) (our judgement); what is further back comes of a clock that was set back.
   */
  public static final double SAME_TIME = 1;

  /** Such readings are told apart by so much (s): far below what any gauge follows. */
  public static final double TOLD_APART = 0.001;

  /** Readings nearer than this are of one moment (s) (our judgement, untested). */
  public static final double ONE_MOMENT = 0.05;

  /** An event without a volume. */
  public static TraceEvent at(double seconds, Kind kind) {
    return new TraceEvent(seconds, kind, OptionalDouble.empty());
  }

  /** What can happen during a pressure test. */
  public enum Kind implements Worded {
    /** The pump was worked. */
    PUMPED,
    /** The valve to the pump was shut: the hold begins. */
    VALVE_SHUT,
    /** Someone squeezed a hose. */
    SQUEEZED,
    /** A measured volume was let out under pressure. */
    DRAW,
    /** A drop was seen. */
    DROP_SEEN,
    /** The first bead on a dried place was seen. */
    FIRST_BEAD,
    /** The place of the leak was seen. */
    PLACE_SEEN,
    /** The pressure was let off: the test is over. */
    RELEASED;
  }
}
