package gotera.web.archive;

import gotera.formats.JobFile;
import gotera.formats.JobWriter;
import gotera.standing.Happened;
import gotera.standing.Visit;
import gotera.suspects.Case;
import gotera.suspects.Observation;
import gotera.web.circuit.EngineTypeService;
import gotera.web.evidence.Cases;
import gotera.web.retest.ProofService;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A job as the command line ranks it, and tells how it stands. */
@Component
class JobFiles {
  private final EngineTypeService types;
  private final Cases cases;
  private final ProofService proofs;

  JobFiles(EngineTypeService types, Cases cases, ProofService proofs) {
    this.types = types;
    this.cases = cases;
    this.proofs = proofs;
  }

  /** The text of the file. */
  String text(UUID jobId) {
    Case known = cases.of(jobId);
    return JobWriter.write(
        new JobFile(
            types.features(jobId),
            types.edits(jobId),
            known.now(),
            here(proofs.visit(jobId), known.observed())));
  }

  /** Without what was seen at places that the circuit does not have any more. */
  private static Visit here(Visit visit, List<Observation> counted) {
    List<Happened<Observation>> here = new ArrayList<>();
    for (Happened<Observation> h : visit.observed()) {
      if (here.size() < counted.size() && h.what().equals(counted.get(here.size()))) {
        here.add(h);
      }
    }
    return new Visit(here, visit.shown(), visit.repeated(), visit.failed());
  }
}
