package gotera.web.pressure.hold;

import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.Sealing;
import gotera.web.pressure.Signed;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/**
 * The bench of pressure test and re-test: where tests begin, are opened again, put aside and put
 * back.
 */
@Controller
class PressureController {
  private final PressureService tests;
  private final Sealing sealing;
  private final PressureBench bench;
  private final JobService jobs;
  private final List<Signed> signed;
  private final Words words;

  PressureController(
      PressureService tests,
      Sealing sealing,
      PressureBench bench,
      JobService jobs,
      List<Signed> signed,
      Words words) {
    this.tests = tests;
    this.sealing = sealing;
    this.bench = bench;
    this.jobs = jobs;
    this.signed = signed;
    this.words = words;
  }

  @PostMapping("/test-now")
  String testNow(Principal principal) {
    return "redirect:/jobs/" + jobs.begin(principal.getName()) + "/pressure-test";
  }

  /** Where a form of the bench was answered in place, its address leads back to the bench. */
  @GetMapping("/tests/{testId}/{form}")
  String reload(@PathVariable UUID testId) {
    return PressureBench.back(tests.where(testId));
  }

  @PostMapping("/tests/{testId}/reopen")
  Object reopen(@PathVariable UUID testId, Figures figures, Principal principal, Model model) {
    UUID job = tests.where(testId).jobId();
    if (signed.stream().anyMatch(s -> s.signed(job))) {
      FieldProblems problems = new FieldProblems(words);
      problems.add("form", "problem.signed");
      return Pages.unprocessable(
          bench.page(
              tests.require(testId), ReadingForm.EMPTY, problems.sentences(), figures, model),
          model);
    }
    sealing.reopen(testId, principal.getName());
    return PressureBench.back(tests.require(testId));
  }

  @PostMapping("/tests/{testId}/discard")
  String discard(@PathVariable UUID testId, Principal principal) {
    tests.discard(testId, principal.getName());
    return PressureBench.back(tests.where(testId));
  }

  @PostMapping("/tests/{testId}/put-back")
  String putBack(@PathVariable UUID testId) {
    tests.putBack(testId);
    return PressureBench.back(tests.where(testId));
  }
}
