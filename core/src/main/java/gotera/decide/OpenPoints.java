package gotera.decide;

import gotera.circuit.CircuitEdit;
import gotera.look.LookState;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Case;
import gotera.suspects.Observation;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;

/**
 * What a job leaves open, however it ends (common practice, no source).
 *
 * @param untested conditions under which nobody has tested; none once it is proven tight
 * @param loopedOff branches cut out of the circuit, by their words: mended for now at the most
 * @param unseen places that were opened and not looked at under pressure since
 */
public record OpenPoints(List<Untested> untested, List<String> loopedOff, List<String> unseen) {
  /** Keeps its own copies. */
  public OpenPoints {
    untested = List.copyOf(untested);
    loopedOff = List.copyOf(loopedOff);
    unseen = List.copyOf(unseen);
  }

  /** A condition under which a leak can show. */
  public enum Untested implements Worded {
    /** No hold under pressure counts. */
    PRESSURE,
    /** Nobody looked while it ran. */
    RUNNING,
    /** No gas check counts. */
    GAS
  }

  /**
   * What a job leaves open.
   *
   * @param of what is known of it
   * @param burns whether the drive burns something
   * @param edits what was changed on the circuit
   * @param opened places that were opened
   */
  public static OpenPoints of(
      Case of, boolean burns, List<CircuitEdit> edits, List<String> opened) {
    List<Untested> untested = new ArrayList<>();
    if (!of.isProven()) {
      if (of.counting(Held.class).stream().allMatch(h -> h.verdict() == VerdictKind.NOT_COUNTED)) {
        untested.add(Untested.PRESSURE);
      }
      if (of.counting(Looked.class).stream().noneMatch(l -> l.state() == LookState.RUNNING)) {
        untested.add(Untested.RUNNING);
      }
      if (burns
          && of.counting(GasChecked.class).stream().noneMatch(g -> g.notCounted().isEmpty())) {
        untested.add(Untested.GAS);
      }
    }
    return new OpenPoints(
        untested,
        edits.stream()
            .filter(CircuitEdit.LoopOff.class::isInstance)
            .map(CircuitEdit::subject)
            .distinct()
            .toList(),
        opened.stream().filter(o -> !seen(of, o)).toList());
  }

  /** Whether it was looked at while the system was pressed, or ran, since the last repair. */
  private static boolean seen(Case of, String place) {
    boolean seen = false;
    for (Observation o : of.observed()) {
      if (o instanceof Observation.Repaired) {
        seen = false;
      } else if (o instanceof Looked l && l.place().equals(place)) {
        seen |= l.state() == LookState.PRESSED || l.state() == LookState.RUNNING;
      }
    }
    return seen;
  }
}
