package gotera.web.evidence;

import gotera.circuit.CircuitEdit;
import gotera.formats.JobFile;
import gotera.formats.JobWriter;
import gotera.web.circuit.EngineTypeService;
import gotera.web.job.JobService;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A job as a file that the command line ranks to the same numbers. */
@Controller
class JobFileController {
  private final JobService jobs;
  private final EngineTypeService types;
  private final Cases cases;

  JobFileController(JobService jobs, EngineTypeService types, Cases cases) {
    this.jobs = jobs;
    this.types = types;
    this.cases = cases;
  }

  @GetMapping("/jobs/{id}/job.json")
  ResponseEntity<String> file(@PathVariable UUID id) {
    jobs.require(id);
    List<CircuitEdit> edits = types.edits(id);
    JobFile file =
        new JobFile(types.features(id), edits, cases.of(id).now(), cases.of(id).observed());
    return ResponseEntity.ok()
        .header("Content-Disposition", "attachment; filename=\"job.json\"")
        .contentType(MediaType.APPLICATION_JSON)
        .body(JobWriter.write(file));
  }
}
