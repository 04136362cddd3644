package gotera.web.job;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource;
import gotera.web.history.HistorySource.HistoryEntry;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** Who did what when in a job, and whether anyone did since. */
@Controller
class HistoryController {
  private final JobService jobs;
  private final JobChanges changes;
  private final List<HistorySource> sources;

  HistoryController(JobService jobs, JobChanges changes, List<HistorySource> sources) {
    this.jobs = jobs;
    this.changes = changes;
    this.sources = sources;
  }

  /** One thing done, as shown. */
  record Line(String at, String by, String what) {}

  @GetMapping("/jobs/{id}/history")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.HAND_OVER, figures));
    model.addAttribute(
        "history",
        sources.stream()
            .flatMap(s -> s.of(id).stream())
            .sorted(Comparator.comparing(HistoryEntry::at).reversed())
            .map(e -> new Line(Figures.momentWithSeconds(e.at()), e.by(), e.what()))
            .toList());
    return "job/history";
  }

  @GetMapping(value = "/jobs/{id}/changes", produces = "text/plain")
  @ResponseBody
  String changes(@PathVariable UUID id) {
    return Long.toString(changes.of(id));
  }
}
