package gotera.web.retest;

import gotera.said.RoadSaid.RoadTest;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The proof, circumstance by circumstance, and the road test. */
@Controller
class ProofController {
  private static final String AT = "/re-test/proof";

  private final ProofService proofs;
  private final ProofPages pages;
  private final JobService jobs;

  ProofController(ProofService proofs, ProofPages pages, JobService jobs) {
    this.proofs = proofs;
    this.pages = pages;
    this.jobs = jobs;
  }

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.RE_TEST, figures));
    model.addAttribute("proof", pages.page(id, figures));
    model.addAttribute("roadSaw", Worded.words(RoadTest.class));
    return "retest/proof";
  }

  @PostMapping("/jobs/{id}/re-test/road")
  String road(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String saw, Principal principal) {
    jobs.require(id);
    RoadTest showed =
        Worded.of(RoadTest.class, saw).orElseThrow(() -> new NotFound("road test: " + saw));
    proofs.road(id, showed, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }
}
