package gotera.web.retest;

import gotera.retest.Agreement;
import gotera.web.figures.Figures;
import gotera.web.history.HistorySource;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.words.Words;
import gotera.work.Step;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Every pressure test of a job side by side: two technicians, two testers, two opinions. */
@Controller
class SideBySideController {
  private final PressureService tests;
  private final VerdictWords verdicts;
  private final List<HistorySource> sources;
  private final JobService jobs;
  private final Words words;

  SideBySideController(
      PressureService tests,
      VerdictWords verdicts,
      List<HistorySource> sources,
      JobService jobs,
      Words words) {
    this.tests = tests;
    this.verdicts = verdicts;
    this.sources = sources;
    this.jobs = jobs;
    this.words = words;
  }

  /** A test; {@code compared} says how it stands to the one before it of the same kind. */
  record Row(
      String address,
      String title,
      String when,
      String by,
      String gauge,
      String verdict,
      String compared) {}

  @GetMapping("/jobs/{id}/tests")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    List<HistoryEntry> done = sources.stream().flatMap(s -> s.of(id).stream()).toList();
    List<PressureTestView> all = tests.all(id);
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      PressureTestView test = all.get(i);
      Optional<PressureTestView> before =
          all.subList(0, i).stream().filter(t -> t.phase() == test.phase()).reduce((a, b) -> b);
      rows.add(
          new Row(
              "/jobs/" + id + "/" + test.phase().word() + "?test=" + test.id(),
              words.say("pressure." + test.phase().word() + ".title", test.number()),
              Figures.moment(test.startedAt()),
              by(test, done),
              figures.step(test.conditions().gauge().resolution()),
              verdicts.said(test, figures).headline(),
              before
                  .flatMap(b -> Agreement.of(b.result(), test.result()))
                  .map(this::say)
                  .orElse("")));
    }
    model.addAttribute("place", new JobPlace(id, Step.RE_TEST, figures));
    model.addAttribute("rows", rows);
    return "retest/tests";
  }

  private String say(Agreement a) {
    return words.say(
        a.agree() ? "tests.agree" : "tests.differ",
        Figures.rate(a.difference(), a.u()),
        Figures.halfWidth(a.u()));
  }

  /** Who read it: who did the first thing in it. */
  private static String by(PressureTestView test, List<HistoryEntry> done) {
    return done.stream()
        .filter(e -> !e.at().isBefore(test.startedAt()))
        .min(Comparator.comparing(HistoryEntry::at))
        .map(HistoryEntry::by)
        .orElse("");
  }
}
