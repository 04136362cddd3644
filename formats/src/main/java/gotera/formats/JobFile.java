package gotera.formats;

import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.Editing;
import gotera.circuit.Features;
import gotera.suspects.AsNow;
import gotera.suspects.Case;
import gotera.suspects.Observation;
import java.util.List;

/**
 * A job as its file holds it, as far as suspects are ranked by it.
 *
 * @param features what the circuit is built from
 * @param edits what was changed on it, in order
 * @param now how the circuit stands now
 * @param observed what was observed, in order of time
 */
public record JobFile(
    Features features, List<CircuitEdit> edits, AsNow now, List<Observation> observed) {
  /** Keeps its own copies. */
  public JobFile {
    edits = List.copyOf(edits);
    observed = List.copyOf(observed);
  }

  /** What is to be assessed. */
  public Case job() {
    return new Case(Editing.all(CircuitBuilder.of(features), edits), observed, now);
  }
}
