package gotera.web.tools;

import gotera.web.cap.CapFacts;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.NamedJobs;
import gotera.web.tools.Sums.SumLine;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One page of sums: whatever is typed gives what follows from it, and a job can keep it. */
@Controller
class ToolsController {
  private final KeptSums kept;
  private final NamedJobs jobs;
  private final Words words;

  ToolsController(KeptSums kept, NamedJobs jobs, Words words) {
    this.kept = kept;
    this.jobs = jobs;
    this.words = words;
  }

  @GetMapping("/tools")
  Object page(@ModelAttribute SumsForm typed, Figures figures, Model model) {
    FieldProblems problems = new FieldProblems(words);
    List<SumLine> lines = understood(typed, problems, figures).lines(figures, words);
    return page(typed, problems, lines, model);
  }

  /** Readings of a tester say something only of a cap with its stamp. */
  private static Sums understood(SumsForm typed, FieldProblems problems, Figures figures) {
    Sums sums = typed.read(problems, figures);
    if (sums.tester().tried() && typed.stamp().isBlank()) {
      problems.add("stamp", "tools.stamp-first");
    }
    return sums;
  }

  private Object page(SumsForm typed, FieldProblems problems, List<SumLine> lines, Model model) {
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems.sentences());
    model.addAttribute("lines", lines);
    model.addAttribute("hidden", typed.fields());
    model.addAttribute("jobs", jobs.newest());
    return problems.none() ? "tools/tools" : Pages.unprocessable("tools/tools", model);
  }

  @PostMapping("/tools/keep")
  Object keep(
      @ModelAttribute SumsForm typed,
      @RequestParam Optional<UUID> job,
      Figures figures,
      Principal principal,
      Model model) {
    FieldProblems problems = new FieldProblems(words);
    Sums sums = understood(typed, problems, figures);
    List<SumLine> lines = sums.lines(figures, words);
    Optional<UUID> chosen = jobs.open(job);
    if (chosen.isEmpty()) {
      problems.add("job", "tools.choose-job");
    } else if (lines.isEmpty()) {
      problems.add("job", "tools.nothing");
    } else if (problems.none()) {
      Optional<CapFacts> other = kept.keep(chosen.get(), sums, lines, principal.getName());
      if (other.isEmpty()) {
        return "redirect:/jobs/"
            + chosen.get()
            + (sums.pressure().isPresent() ? "/cap" : "/history");
      }
      problems.add(
          "job", "tools.other-cap", figures.pressureTwice(other.get().rated().kilopascals()));
    }
    return page(typed, problems, lines, model);
  }

  /** Where a form was answered in place, its address leads back to the sums. */
  @GetMapping("/tools/keep")
  String reload() {
    return "redirect:/tools";
  }
}
