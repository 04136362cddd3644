package gotera.web.archive;

import gotera.web.job.JobService;
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
  private final JobFiles files;

  JobFileController(JobService jobs, JobFiles files) {
    this.jobs = jobs;
    this.files = files;
  }

  @GetMapping("/jobs/{id}/job.json")
  ResponseEntity<String> file(@PathVariable UUID id) {
    jobs.require(id);
    return ResponseEntity.ok()
        .header("Content-Disposition", "attachment; filename=\"job.json\"")
        .contentType(MediaType.APPLICATION_JSON)
        .body(files.text(id));
  }
}
