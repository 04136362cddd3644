package gotera.web.finding;

import gotera.web.figures.Entry;
import gotera.web.job.JobService;
import java.security.Principal;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes back anything that was written into the log of a job. */
@Controller
class FindingController {
  private final FindingService findings;
  private final JobService jobs;

  FindingController(FindingService findings, JobService jobs) {
    this.findings = findings;
    this.jobs = jobs;
  }

  @PostMapping("/jobs/{id}/findings/{findingId}/withdraw")
  String withdraw(
      @PathVariable UUID id,
      @PathVariable UUID findingId,
      @RequestParam(defaultValue = "") String back,
      @RequestParam(defaultValue = "") String joint,
      Principal principal) {
    jobs.require(id);
    findings.withdraw(id, findingId, principal.getName());
    // only to a step of this job, never to where somebody else's link says
    String step = Entry.text(back, 40);
    String at = Entry.text(joint, 80);
    return "redirect:/jobs/"
        + id
        + (step.matches("[a-z-]+(/[a-z-]+)?") ? "/" + step : "")
        + (at.matches("[a-z0-9.-]+") ? "?joint=" + at : "");
  }
}
