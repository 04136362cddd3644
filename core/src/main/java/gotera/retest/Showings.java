package gotera.retest;

import gotera.look.LookState;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Observation;
import gotera.suspects.Told;
import gotera.suspects.WhereLost;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Under which circumstances a leak showed before it was repaired. */
public final class Showings {
  /** What a customer tells, by the sign it is. */
  private static final Map<WhereLost, Circumstance> TOLD =
      Map.of(
          WhereLost.PUDDLE, Circumstance.PARKED,
          WhereLost.AFTER_DRIVE, Circumstance.DRIVEN,
          WhereLost.RUNNING, Circumstance.RUNNING,
          WhereLost.ONLY_HOT, Circumstance.DRIVEN,
          WhereLost.NOT_RUNNING, Circumstance.PARKED);

  private Showings() {}

  /**
   * What was told, seen and measured until the last repair; the tests of a repair are not in it.
   *
   * @param observed in order of time
   */
  public static List<Shown> of(List<Observation> observed) {
    List<Shown> shown = new ArrayList<>();
    boolean wet = false;
    for (Observation o : untilRepaired(observed)) {
      shown(o).ifPresent(shown::add);
      wet |= wetCold(o);
    }
    return shown.isEmpty() && wet ? List.of(Shown.of(Circumstance.PARKED)) : shown;
  }

  /**
   * Wet while it stood cold without pressure: that says where it leaks, and not when. Only where
   * nothing else says when is it taken for leaking while it stands (our judgement, untested).
   */
  private static boolean wetCold(Observation o) {
    return o instanceof Observation.Looked look && look.wet() && look.state() == LookState.COLD
        || o instanceof Observation.Dripped drip && drip.state() == LookState.COLD;
  }

  private static List<Observation> untilRepaired(List<Observation> observed) {
    for (int i = observed.size() - 1; i >= 0; i--) {
      if (observed.get(i) instanceof Observation.Repaired) {
        return observed.subList(0, i);
      }
    }
    return observed;
  }

  private static Optional<Shown> shown(Observation o) {
    if (o instanceof Observation.Sign sign) {
      return TOLD.entrySet().stream()
          .filter(t -> t.getKey().sign().filter(sign.sign()::equals).isPresent())
          .findFirst()
          .map(t -> Shown.of(t.getValue()));
    }
    if (o instanceof Told.Loss) {
      return Optional.of(Shown.of(Circumstance.OVER_WEEKS));
    }
    if (o instanceof Observation.Looked look && look.wet()) {
      return of(look.state()).map(when -> new Shown(when, look.gauge(), OptionalDouble.empty()));
    }
    if (o instanceof Observation.Dripped drip) {
      return of(drip.state()).map(Shown::of);
    }
    if (o instanceof Observation.Held held && !held.afterRepair() && leaked(held.verdict())) {
      return Optional.of(Shown.of(Circumstance.PRESSED));
    }
    return Optional.empty();
  }

  private static boolean leaked(VerdictKind verdict) {
    return verdict == VerdictKind.LEAK
        || verdict == VerdictKind.GROSS
        || verdict == VerdictKind.STOPPED;
  }

  private static Optional<Circumstance> of(LookState state) {
    return switch (state) {
      case COLD -> Optional.empty();
      case PARKED -> Optional.of(Circumstance.PARKED);
      case PRESSED -> Optional.of(Circumstance.PRESSED);
      case WARM, RUNNING -> Optional.of(Circumstance.RUNNING);
    };
  }
}
