package gotera.suspects;

import gotera.look.LookState;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Proposal.First;
import java.util.List;

/**
 * What must come before a check, from the state in which the vehicle was left.
 *
 * @param state that state
 */
record Preparation(LookState state) {
  /** Filling up, tester on, pumping up (min) (our judgement, untested). */
  private static final double PUMP_UP = 8;

  /** Running it warm (min) (our judgement, untested). */
  private static final double WARM_UP = 15;

  /** Cooling down: mostly waiting, during which other work is done (min) (our judgement). */
  private static final double COOL_DOWN = 30;

  static Preparation of(Case job) {
    return new Preparation(stateNow(job));
  }

  /** The state in which the vehicle was left. */
  private static LookState stateNow(Case job) {
    LookState state = LookState.COLD;
    for (Observation o : job.observed()) {
      if (o instanceof Held held) {
        state = held.scope().hot() ? LookState.RUNNING : LookState.PRESSED;
      } else if (o instanceof Looked look) {
        state = look.state();
      } else if (o instanceof Dripped drip) {
        state = drip.state();
      } else if (o instanceof GasChecked || o instanceof Bubbled || o instanceof Scanned) {
        state = LookState.RUNNING;
      }
    }
    return state;
  }

  boolean hot() {
    return state == LookState.RUNNING || state == LookState.WARM;
  }

  /** What must come first to bring the vehicle into a state. */
  List<First> before(LookState wanted) {
    return switch (wanted) {
      case PRESSED ->
          state == LookState.PRESSED
              ? List.of()
              : hot() ? List.of(First.COOL_DOWN, First.PUMP_UP) : List.of(First.PUMP_UP);
      case WARM, RUNNING -> hot() ? List.of() : List.of(First.WARM_UP);
      case PARKED, COLD -> hot() ? List.of(First.COOL_DOWN) : List.of();
    };
  }

  static double minutes(List<First> first) {
    return first.stream()
        .mapToDouble(
            f ->
                switch (f) {
                  case PUMP_UP -> PUMP_UP;
                  case WARM_UP -> WARM_UP;
                  case COOL_DOWN -> COOL_DOWN;
                  case UNCOVER, DRY -> 0;
                })
        .sum();
  }
}
