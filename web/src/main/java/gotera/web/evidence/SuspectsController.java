package gotera.web.evidence;

import gotera.web.figures.Figures;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.work.Step;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Every place under suspicion, with what speaks for and against it. */
@Controller
class SuspectsController {
  private final SuspectsService suspects;
  private final JobService jobs;

  SuspectsController(SuspectsService suspects, JobService jobs) {
    this.suspects = suspects;
    this.jobs = jobs;
  }

  @GetMapping("/jobs/{id}/suspects")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.FIND, figures));
    model.addAttribute("suspects", suspects.all(id));
    return "evidence/suspects";
  }
}
