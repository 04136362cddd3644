package gotera.formats;

import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.Editing;
import gotera.circuit.Features;
import gotera.standing.Happened;
import gotera.standing.Visit;
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
 * @param visit what was observed, and what was repeated after a repair, each with its time
 */
public record JobFile(Features features, List<CircuitEdit> edits, AsNow now, Visit visit) {
  /** Keeps its own copy. */
  public JobFile {
    edits = List.copyOf(edits);
  }

  /** One of which only the order of what was observed is known. */
  public JobFile(
      Features features, List<CircuitEdit> edits, AsNow now, List<Observation> observed) {
    this(features, edits, now, Visit.inOrder(observed));
  }

  /** What was observed, in order of time. */
  public List<Observation> observed() {
    return visit.observed().stream().map(Happened::what).toList();
  }

  /** What is to be assessed. */
  public Case job() {
    return new Case(Editing.all(CircuitBuilder.of(features), edits), observed(), now);
  }
}
