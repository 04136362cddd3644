package gotera.suspects;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Reach;
import gotera.evidence.Mode;
import gotera.suspects.Observation.Scope;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * What a test of pressure exercises: a fault whose mode acts in the state of the test, at a place
 * that is in it. Not in it are the cap and what lies behind it, for the tester sits in its place;
 * what was cut off; what lies behind a shut valve; another loop.
 *
 * @param out places that are not in it
 * @param acts how far a fault acts meanwhile, by its mode
 */
record Scoped(Set<String> out, Map<Mode, Double> acts) {
  /** Caps that a tester replaces, and what lies behind them. */
  private static final Set<String> REPLACED =
      Set.of("cap.neck", "overflow-hose.bottle-end", "bottle.body", "second-tank.cap");

  static Scoped of(Circuit circuit, AsNow now, Scope scope) {
    Reach reach = Reach.byPressure(circuit, !(now.heaterValveShut() || scope.heaterValveShut()));
    Set<String> out = new HashSet<>(REPLACED);
    for (Joint joint : circuit.joints()) {
      boolean cut =
          now.cutOff().contains(joint.branch()) || scope.cutOff().contains(joint.branch());
      boolean other = !scope.loop().isEmpty() && !joint.branch().word().equals(scope.loop());
      if (cut || other || !reach.reaches(joint)) {
        out.add(joint.code());
      }
    }
    return new Scoped(out, Case.VOCABULARY.acts(scope.hot() ? "running" : "cold-pressure"));
  }

  /** Whether a fault leaks in it. */
  boolean exercises(String place, Mode mode) {
    return !out.contains(place) && acts.getOrDefault(mode, 0.0) >= 1;
  }
}
