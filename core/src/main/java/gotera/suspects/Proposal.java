package gotera.suspects;

import gotera.word.Worded;
import java.util.List;

/**
 * Something to do next.
 *
 * @param what a check, or the repair
 * @param minutes work it costs, with what must come first (min); 0 for the repair, which is planned
 *     by itself
 * @param bits how much less uncertain one expects to be after it (bit)
 * @param first what must come first
 * @param settles places that it settles most
 * @param why the reason it comes first, where that is another than its bits
 */
public record Proposal(
    Action what, double minutes, double bits, List<First> first, List<String> settles, Why why) {
  /** Keeps its own copies. */
  public Proposal {
    first = List.copyOf(first);
    settles = List.copyOf(settles);
  }

  /** What it tells for a minute of work (bit/min). */
  public double perMinute() {
    return bits / minutes;
  }

  /** The same with a reason to come first. */
  Proposal because(Why other) {
    return new Proposal(what, minutes, bits, first, settles, other);
  }

  /** What must come before a check. */
  public enum First implements Worded {
    /** Fill up to the brim, put the tester on, pump up. */
    PUMP_UP,
    /** Run it warm. */
    WARM_UP,
    /** Let it cool. */
    COOL_DOWN,
    /** Take off what covers the place. */
    UNCOVER,
    /** Dry the place. */
    DRY
  }

  /** Why it comes first. */
  public enum Why implements Worded {
    /** It tells most for its minutes. */
    TELLS_MOST,
    /** The same part failed twice. */
    SAME_PART,
    /** The pressure falls, outside all is dry. */
    INSIDE,
    /** One check of the inside alone condemns no head: another kind of it. */
    ONE_ALONE,
    /** The hold was steady: look while it runs. */
    STEADY,
    /** Part of the circuit was not in the hold. */
    NOT_IN_THE_TEST,
    /** What was wet stayed dry once it was dried: one of the two misleads. */
    WATCH_AGAIN,
    /** A first bead, which something else explains as well: it must come again. */
    FIRST_BEAD,
    /** A cap that failed once, its seal wetted: a dry seal fails too. */
    FAILS_AGAIN,
    /** One kind of check of the inside shows something, another nothing. */
    DISAGREE,
    /** The same check again: the last one did not count. */
    AGAIN,
    /** What gathered for weeks says nothing: the second amount is the rate. */
    SECOND_AMOUNT,
    /** Something wet or a smell leads there. */
    TRACE,
    /** Where it is lost is not known: pressure, and look and listen meanwhile. */
    UNKNOWN_PLACE,
    /** Nothing was found by eye. */
    NOTHING_SEEN,
    /** One place is all but certain: this would refute it. */
    REFUTE,
    /** One place is all but certain, and how much it loses is not known yet. */
    BALANCE,
    /** The places found explain the rate, or the leak was seen where it starts. */
    FOUND,
    /** It was repaired, and nothing shows yet that it holds. */
    REPAIRED,
    /** The test of the repair says neither: a longer hold does. */
    HOLD_LONGER,
    /** Two entries contradict each other: one of them again. */
    CONTRADICTS,
    /** It empties: look where it runs meanwhile. */
    GROSS,
    /** No loss is told of, nothing falls, nothing is wet. */
    NOTHING_WRONG,
    /** It holds, and what was wet stayed dry once it was dried. */
    STAYS_DRY,
    /** Nothing that can be done here tells more. */
    NOT_FOUND
  }
}
