package gotera.web.evidence;

import gotera.circuit.CircuitEdit;
import gotera.formats.JobFile;
import gotera.formats.JobWriter;
import gotera.web.circuit.EngineTypeService;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A job as the command line ranks it. */
@Component
public class JobFiles {
  private final EngineTypeService types;
  private final Cases cases;

  JobFiles(EngineTypeService types, Cases cases) {
    this.types = types;
    this.cases = cases;
  }

  /** The text of the file. */
  public String text(UUID jobId) {
    List<CircuitEdit> edits = types.edits(jobId);
    return JobWriter.write(
        new JobFile(
            types.features(jobId), edits, cases.of(jobId).now(), cases.of(jobId).observed()));
  }
}
