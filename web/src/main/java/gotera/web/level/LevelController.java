package gotera.web.level;

import gotera.coolant.CoolantMixture;
import gotera.level.LevelRuler;
import gotera.level.LevelWatch;
import gotera.uncertainty.DecisionLimits;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.link.CustomerLinkService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The level watch of a job: a leak rate without a pressure tester. */
@Controller
class LevelController {
  private final LevelService marks;
  private final JobService jobs;
  private final CustomerLinkService links;
  private final Words words;

  LevelController(LevelService marks, JobService jobs, CustomerLinkService links, Words words) {
    this.marks = marks;
    this.jobs = jobs;
    this.links = links;
    this.words = words;
  }

  /** A mark with what it says since the first one. */
  record Row(
      String id,
      String when,
      String by,
      String level,
      String put,
      String hours,
      String says,
      String photo) {}

  @GetMapping("/jobs/{id}/level-watch")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, LevelForm.next(marks.marks(id)), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/level-watch")
  Object mark(
      @PathVariable UUID id,
      @ModelAttribute LevelForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    marks.keep(id, form, LevelService.FromOwner.NOTHING, problems, figures, principal.getName());
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    return "redirect:/jobs/" + id + "/level-watch";
  }

  @PostMapping("/jobs/{id}/level-watch/{markId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID markId, Principal principal) {
    jobs.require(id);
    marks.withdraw(id, markId, principal.getName());
    return "redirect:/jobs/" + id + "/level-watch";
  }

  private String page(
      UUID id, LevelForm form, Map<String, String> problems, Figures figures, Model model) {
    JobView job = jobs.require(id);
    List<LevelMarkRecord> all = marks.marks(id);
    model.addAttribute("place", new JobPlace(id, Step.RE_TEST, figures));
    model.addAttribute("form", form);
    model.addAttribute("first", all.isEmpty());
    model.addAttribute("problems", problems);
    model.addAttribute("rows", rows(all, job, figures));
    model.addAttribute("links", links.of(id, Purpose.DIARY));
    model.addAttribute("ruler", ruler(all, job, figures));
    if (all.size() > 1) {
      LevelWatch watch = watch(all, job);
      model.addAttribute("statement", statement(watch, all));
      model.addAttribute(
          "from",
          words.say(
              watch.wasHot() ? "level.from" : "level.from-stood",
              figures.volume(watch.missing()),
              figures.volume(DecisionLimits.halfWidth(watch.missingU())),
              Figures.plain(watch.hours())));
    }
    return "level/watch";
  }

  /** A loss where more is missing than reading explains, else the bound. */
  private String statement(LevelWatch watch, List<LevelMarkRecord> all) {
    String since = Figures.moment(all.get(0).readAt);
    if (watch.falls()) {
      return watch.wasHot()
          ? words.say(
              "level.falls-rate",
              Figures.rate(watch.rate(), watch.u()),
              Figures.halfWidth(watch.u()),
              since)
          : words.say("level.falls", since);
    }
    return watch.wasHot()
        ? words.say("level.statement", Figures.bound(watch.upper()), since)
        : words.say("level.stood", Figures.bound(watch.standing(LevelService.days(all))), since);
  }

  /** The level to expect, of what the first mark says. */
  private List<String> ruler(List<LevelMarkRecord> all, JobView job, Figures figures) {
    if (all.isEmpty() || job.liquidMl().isEmpty()) {
      return List.of();
    }
    return LevelRuler.of(all.get(0).mark(), coolant(job), job.liquidMl().getAsDouble()).stream()
        .map(
            r ->
                words.say(
                    "level.expect",
                    figures.temperature(r.celsius(), 0),
                    Figures.fixed(r.level() + all.get(0).levelMm, 0),
                    Figures.fixed(DecisionLimits.TWO_SIDED * r.u(), 0)))
        .toList();
  }

  private static CoolantMixture coolant(JobView job) {
    return new CoolantMixture(job.strength().orElse(CoolantMixture.USUAL_STRENGTH));
  }

  private List<Row> rows(List<LevelMarkRecord> all, JobView job, Figures figures) {
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      LevelMarkRecord mark = all.get(i);
      rows.add(
          new Row(
              mark.id.toString(),
              Figures.moment(mark.readAt),
              mark.writtenBy,
              Figures.fixed(mark.levelMm, 0) + " mm",
              mark.toppedUpMl > 0 ? figures.volume(mark.toppedUpMl) : "",
              i == 0 ? "" : Figures.plain(mark.hotHours) + " h",
              i == 0 ? words.say("level.first") : says(watch(all.subList(0, i + 1), job), figures),
              mark.photoId == null ? "" : "/photos/" + mark.photoId));
    }
    return rows;
  }

  private String says(LevelWatch watch, Figures figures) {
    if (watch.falls() || !watch.wasHot()) {
      return words.say(
          watch.falls() ? "level.says-falls" : "level.says-stood",
          figures.volume(watch.missing()),
          figures.volume(DecisionLimits.halfWidth(watch.missingU())));
    }
    return words.say(
        "level.says",
        Figures.rate(watch.rate(), watch.u()),
        Figures.halfWidth(watch.u()),
        Figures.bound(watch.upper()));
  }

  private static List<LevelWatch.Mark> marks(List<LevelMarkRecord> of) {
    return of.stream().map(LevelMarkRecord::mark).toList();
  }

  private static LevelWatch watch(List<LevelMarkRecord> of, JobView job) {
    return LevelWatch.of(marks(of), coolant(job), job.liquidMl());
  }
}
