package gotera.web.job;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.work.Step;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Who did what when in a job, and whether anyone did since. */
@Controller
class HistoryController {
  private final JobService jobs;
  private final JobWatch watch;
  private final JobMemo memo;
  private final List<HistorySource> sources;

  HistoryController(JobService jobs, JobWatch watch, JobMemo memo, List<HistorySource> sources) {
    this.memo = memo;
    this.jobs = jobs;
    this.watch = watch;
    this.sources = sources;
  }

  /** One thing done, as shown. */
  record HistoryLine(String at, String by, String what) {}

  @GetMapping("/jobs/{id}/history")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.HAND_OVER, figures));
    model.addAttribute(
        "history",
        sources.stream()
            .flatMap(s -> told(s, id).stream())
            .sorted(Comparator.comparing(HistoryEntry::at).reversed())
            .map(e -> new HistoryLine(Figures.momentWithSeconds(e.at()), e.by(), e.what()))
            .toList());
    return "job/history";
  }

  private List<HistoryEntry> told(HistorySource source, UUID job) {
    return source.isOfUncounted()
        ? source.of(job)
        : memo.shared("history by " + source.getClass(), job, () -> source.of(job));
  }

  /** Tells an open page whenever somebody wrote to its job (server-sent events). */
  @GetMapping(value = "/jobs/{id}/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter changes(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "0") long seq,
      HttpServletResponse answer) {
    jobs.require(id);
    // a proxy that gathers an answer before it passes it on would keep the news back
    answer.setHeader("X-Accel-Buffering", "no");
    return watch.watch(id, seq);
  }
}
