package gotera.web.retest;

import gotera.web.circuit.CircuitService;
import gotera.web.job.JobService;
import gotera.web.repair.RepairService;
import gotera.web.shell.Figures;
import gotera.web.shell.NotFound;
import gotera.web.shell.Words;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The re-test on paper. Its page on screen is the pressure test's, with what is added here. */
@Controller
class RetestController {
  private final RetestService retests;
  private final JobService jobs;
  private final RepairService repairs;
  private final CircuitService circuits;
  private final Words words;
  private final Clock clock;

  RetestController(
      RetestService retests,
      JobService jobs,
      RepairService repairs,
      CircuitService circuits,
      Words words,
      Clock clock) {
    this.retests = retests;
    this.jobs = jobs;
    this.repairs = repairs;
    this.circuits = circuits;
    this.words = words;
    this.clock = clock;
  }

  /** A leak site or repair on paper. */
  record Line(String place, String text) {}

  @GetMapping("/jobs/{id}/re-test/print")
  String print(@PathVariable UUID id, Figures figures, Model model) {
    model.addAttribute("job", jobs.require(id));
    model.addAttribute(
        "retest",
        retests.page(id, figures).orElseThrow(() -> new NotFound("re-test of job " + id)));
    model.addAttribute(
        "sites",
        circuits.sites(id).stream()
            .map(s -> new Line(words.say("joint." + s.joint()), words.say("saw." + s.saw())))
            .toList());
    model.addAttribute(
        "repairs",
        repairs.notes(id).stream()
            .map(
                n -> new Line(n.joint().isEmpty() ? "" : words.say("joint." + n.joint()), n.note()))
            .toList());
    model.addAttribute("printed", Figures.moment(clock.instant()));
    return "retest/print";
  }
}
