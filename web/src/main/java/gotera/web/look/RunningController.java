package gotera.web.look;

import gotera.circuit.Circuit.Joint;
import gotera.look.DryLook;
import gotera.range.Range;
import gotera.said.RunningSaid;
import gotera.said.RunningSaid.FirstDrop;
import gotera.said.RunningSaid.StayedDry;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.guide.Clock;
import gotera.web.guide.GuideService;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The guided look at the running engine: at the pump first, then everywhere. */
@Controller
class RunningController {
  private static final String AT = "/find/running";

  private final RunningService running;
  private final GuideService guides;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final JobService jobs;
  private final Words words;

  RunningController(
      RunningService running,
      GuideService guides,
      CircuitService circuits,
      CircuitWords names,
      JobService jobs,
      Words words) {
    this.running = running;
    this.guides = guides;
    this.circuits = circuits;
    this.names = names;
    this.jobs = jobs;
    this.words = words;
  }

  /** A place that can be chosen. */
  record Place(String code, String name) {}

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, RunningForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT)
  Object look(
      @PathVariable UUID id,
      @ModelAttribute RunningForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    String by = principal.getName();
    FieldProblems problems = new FieldProblems(words);
    Optional<Instant> since = running.since(id);
    switch (form.step()) {
      case "started" -> running.start(id, by);
      case "dripped" -> {
        double minutes = ran(form, since, problems);
        if (form.joint().isEmpty()) {
          problems.add("joint", "running.which");
        }
        if (problems.none()) {
          running.dripped(id, joint(id, form.joint()), minutes, by);
        }
      }
      case "dry" -> {
        double minutes = ran(form, since, problems);
        OptionalDouble celsius = form.celsius(problems, figures);
        if (problems.none()) {
          String joint = form.joint().isEmpty() ? "" : joint(id, form.joint());
          running.dry(id, joint, minutes, celsius, by);
        }
      }
      default -> throw new NotFound(form.step());
    }
    return problems.none()
        ? "redirect:/jobs/" + id + AT
        : Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
  }

  /** By the clock where it ran, else as typed (min). */
  private double ran(RunningForm form, Optional<Instant> since, FieldProblems problems) {
    OptionalDouble typed = form.minutes(problems);
    if (typed.isEmpty() && since.isEmpty() && problems.none()) {
      problems.add("ranFor", "running.how-long");
    }
    double least = Range.GATHERED.low();
    return typed.orElseGet(() -> Math.max(least, since.map(running::minutesSince).orElse(least)));
  }

  private String joint(UUID id, String code) {
    return circuits.circuit(id).joints().stream()
        .map(Joint::code)
        .filter(code::equals)
        .findFirst()
        .orElseThrow(() -> new NotFound(code));
  }

  private String page(
      UUID id, RunningForm form, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    Optional<Instant> since = running.since(id);
    OptionalDouble shown = running.shownAfter(id);
    model.addAttribute("place", new JobPlace(id, Step.FIND, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("since", since.map(Instant::toEpochMilli).orElse(null));
    model.addAttribute("clocks", clock(since, shown).map(List::of).orElse(List.of()));
    model.addAttribute(
        "places",
        circuits.circuit(id).joints().stream()
            .map(j -> new Place(j.code(), names.joint(id, j.code())))
            .toList());
    List<Finding<RunningSaid>> all = running.all(id);
    model.addAttribute("said", said(all));
    model.addAttribute("lines", guides.lines(all, figures));
    return "look/running";
  }

  /** How long it must stay dry. */
  private Optional<Clock> clock(Optional<Instant> since, OptionalDouble shown) {
    double watch = shown.isPresent() ? DryLook.minutesAfter(shown.getAsDouble()) : DryLook.USUAL;
    String label =
        shown.isPresent()
            ? words.say("running.clock.again", Figures.plain(shown.getAsDouble()))
            : words.say("running.clock.usual", Figures.bound(DryLook.most(DryLook.USUAL)));
    return Clock.of(label, since, Duration.ofSeconds((long) (60 * watch)));
  }

  /** What the looks prove, each in its state only. */
  private List<String> said(List<Finding<RunningSaid>> all) {
    List<String> said = new ArrayList<>();
    for (Finding<RunningSaid> f : all) {
      if (f.said() instanceof StayedDry dry && dry.minutes() > 0) {
        said.add(dry(dry));
      } else if (f.said() instanceof FirstDrop drop) {
        said.add(
            words.say(
                "running.showed",
                Figures.plain(drop.minutes()),
                Figures.plain(DryLook.minutesAfter(drop.minutes()))));
      }
    }
    return said;
  }

  private String dry(StayedDry dry) {
    String minutes = Figures.plain(dry.minutes());
    return dry.celsius().orElse(0) > DryLook.DRIES_UP
        ? words.say("running.dries-up", minutes)
        : words.say("running.bound", minutes, Figures.bound(DryLook.most(dry.minutes())));
  }
}
