package gotera.suspects;

import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.evidence.Evidence;
import gotera.evidence.Mode;
import gotera.look.LookState;
import gotera.suspects.Observation.Dripped;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Drips and puddles, each once: what lies on the ground fell from what hangs above it. */
final class Drips {
  /** A drip from a place without a name in the same region (our judgement, untested). */
  private static final double FROM_ELSEWHERE = 0.1;

  private Drips() {}

  /** Where it dripped, the newest of each spot; ground below a drip of the same region left out. */
  static List<Dripped> located(Case job) {
    Map<DripSpot, Dripped> last = new LinkedHashMap<>();
    if (!job.afterRepair()) {
      job.counting(Told.Puddle.class)
          .forEach(p -> last.put(p.spot(), new Dripped(p.spot(), LookState.PARKED)));
    }
    for (Dripped d : job.counting(Dripped.class)) {
      last.remove(d.spot());
      last.put(d.spot(), d);
    }
    List<Dripped> located = new ArrayList<>(last.values());
    located.removeIf(
        d ->
            d.spot().ground()
                && last.keySet().stream()
                    .anyMatch(s -> !s.ground() && s.region().equals(d.spot().region())));
    return located;
  }

  static List<Evidence> of(Case job, Scoped pressed) {
    return located(job).stream().map(d -> finding(job, d, pressed)).toList();
  }

  private static Evidence finding(Case job, Dripped drip, Scoped pressed) {
    DripTrace trace = DripTrace.of(job.circuit(), drip.spot(), drip.running());
    Map<String, Double> causes = new HashMap<>(trace.feeds());
    if (drip.state() == LookState.PRESSED) {
      causes.keySet().removeAll(pressed.out());
    }
    causes.put(Case.VOCABULARY.elsewhere(drip.spot().region()), FROM_ELSEWHERE);
    Map<Mode, Double> acts = new EnumMap<>(Mode.class);
    Case.VOCABULARY
        .acts(drip.state())
        .forEach((mode, factor) -> acts.put(mode, Math.min(1, factor)));
    return new Evidence.InRegion(
        new Clue.Drip(drip.spot(), drip.state()), true, causes, acts, DripTrace.FALSE_ALARM);
  }
}
