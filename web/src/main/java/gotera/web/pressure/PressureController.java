package gotera.web.pressure;

import gotera.cap.CapStamp;
import gotera.formats.HoldDescription;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.quantity.GaugePressure;
import gotera.web.cap.CapFacts;
import gotera.web.cap.CapService;
import gotera.web.equipment.EquipmentKind;
import gotera.web.equipment.EquipmentService;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureService.Added;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.Identifiers;
import gotera.web.shell.NotFound;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The bench of pressure test and re-test, and everything entered there. */
@Controller
class PressureController {
  private final PressureService tests;
  private final PressureBench bench;
  private final CapService caps;
  private final JobService jobs;
  private final EquipmentService equipment;
  private final PressurePages pages;
  private final Identifiers identifiers;
  private final Words words;

  PressureController(
      PressureService tests,
      PressureBench bench,
      CapService caps,
      JobService jobs,
      EquipmentService equipment,
      PressurePages pages,
      Identifiers identifiers,
      Words words) {
    this.equipment = equipment;
    this.pages = pages;
    this.identifiers = identifiers;
    this.tests = tests;
    this.bench = bench;
    this.caps = caps;
    this.jobs = jobs;
    this.words = words;
  }

  @PostMapping("/test-now")
  String testNow(Principal principal) {
    return "redirect:/jobs/" + jobs.begin(principal.getName()) + "/pressure-test";
  }

  @GetMapping("/jobs/{id}/{step:pressure-test|re-test}")
  String page(
      @PathVariable UUID id,
      @PathVariable String step,
      @RequestParam(defaultValue = "false") boolean again,
      Figures figures,
      Model model) {
    jobs.require(id);
    Phase phase = phase(step);
    Optional<PressureTestView> latest = tests.latest(id, phase);
    if (latest.isEmpty() || again) {
      return setupPage(id, phase, blank(id, phase, figures), Map.of(), figures, model);
    }
    return bench.page(latest.get(), ReadingForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/{step:pressure-test|re-test}")
  Object begin(
      @PathVariable UUID id,
      @PathVariable String step,
      @ModelAttribute SetupForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    Optional<CapFacts> cap = cap(id, form, problems, principal);
    SetupReading.Tools tools = SetupReading.Tools.chosen(form, equipment);
    Optional<HoldDescription> hold =
        cap.flatMap(
            c -> SetupReading.read(form, problems, tests.known(id, c), tools, figures.unit()));
    if (hold.isEmpty()) {
      return Pages.unprocessable(
          setupPage(id, phase(step), form, problems.sentences(), figures, model), model);
    }
    tests.begin(id, phase(step), hold.get(), tools.readingMode(form), principal.getName());
    return "redirect:/jobs/" + id + "/" + step;
  }

  /** Where a form of the bench was answered in place, its address leads back to the bench. */
  @GetMapping("/tests/{testId}/{form}")
  String reload(@PathVariable UUID testId) {
    return PressureBench.back(tests.require(testId));
  }

  @PostMapping("/tests/{testId}/readings")
  Object reading(
      @PathVariable UUID testId,
      @ModelAttribute ReadingForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<ReadingForm.Reading> reading = form.read(problems, test, tests.now(test), figures);
    if (reading.isPresent()) {
      Added added =
          tests.addReading(
              testId,
              form.entry().orElseGet(identifiers::next),
              reading.get().seconds(),
              reading.get().kilopascals(),
              reading.get().celsius(),
              principal.getName());
      if (added == Added.NOT_LATER) {
        // another one's reading came first: it stands in the trace as it is now
        Trace trace = tests.require(testId).trace();
        double last = trace.seconds(trace.size() - 1) - test.valveShut().orElse(0.0);
        problems.add("at", "problem.time-back", Figures.minutesAndSeconds(last));
      } else if (added == Added.FINISHED) {
        problems.add("form", "problem.finished");
      } else {
        return PressureBench.back(test);
      }
    }
    if (problems.sentences().containsKey("gauge")
        && !form.gauge().isEmpty()
        && form.step().isEmpty()) {
      model.addAttribute("mayConfirm", confirmable(form, test, figures));
    }
    return Pages.unprocessable(
        bench.page(tests.require(testId), form, problems.sentences(), figures, model), model);
  }

  /** Whether the one thing wrong with the gauge is that it is above the limit. */
  private boolean confirmable(ReadingForm form, PressureTestView test, Figures figures) {
    FieldProblems problems = new FieldProblems(words);
    new ReadingForm("", form.gauge(), "", "", "true", "")
        .read(problems, test, tests.now(test), figures);
    return problems.none();
  }

  @PostMapping("/tests/{testId}/events")
  Object event(
      @PathVariable UUID testId,
      @RequestParam String kind,
      @RequestParam(defaultValue = "") String at,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    TraceEvent.Kind event =
        TraceEvent.Kind.of(kind).orElseThrow(() -> new NotFound("event " + kind));
    tests.addEvent(testId, TraceEvent.at(tests.now(test), event), principal.getName());
    if (event == TraceEvent.Kind.PLACE_SEEN) {
      // seen is enough: the pressure is let off and the test is over
      tests.addEvent(
          testId, TraceEvent.at(tests.now(test), TraceEvent.Kind.RELEASED), principal.getName());
      tests.finish(testId);
      return "redirect:/jobs/" + test.jobId() + "/find";
    }
    return PressureBench.back(test);
  }

  @PostMapping("/tests/{testId}/undo")
  String undo(@PathVariable UUID testId, Principal principal) {
    PressureTestView test = tests.require(testId);
    tests.undo(testId, principal.getName());
    return PressureBench.back(test);
  }

  @PostMapping("/tests/{testId}/finish")
  String finish(@PathVariable UUID testId) {
    tests.finish(testId);
    return PressureBench.back(tests.require(testId));
  }

  private Optional<CapFacts> cap(
      UUID jobId, SetupForm form, FieldProblems problems, Principal principal) {
    Optional<CapFacts> known = caps.of(jobId);
    if (known.isPresent()) {
      return known;
    }
    Optional<GaugePressure> rated =
        problems.take("stamp", form.stamp(), CapStamp.read(form.stamp(), Optional.empty()));
    if (rated.isEmpty()) {
      return Optional.empty();
    }
    caps.write(
        jobId,
        form.stamp(),
        rated.get(),
        Optional.empty(),
        Optional.empty(),
        "not-looked",
        "",
        principal.getName(),
        0);
    return caps.of(jobId);
  }

  private SetupForm blank(UUID jobId, Phase phase, Figures figures) {
    List<PressureTestView> before = tests.all(jobId);
    return SetupForm.blank(
        jobs.require(jobId),
        phase,
        before.isEmpty() ? Optional.empty() : Optional.of(before.get(before.size() - 1)),
        figures);
  }

  private String setupPage(
      UUID jobId,
      Phase phase,
      SetupForm form,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    model.addAttribute("place", new JobPlace(jobId, phase.step(), figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("phase", phase.word());
    model.addAttribute("soaks", SetupForm.SOAKS);
    model.addAttribute("purposes", SetupForm.PURPOSES);
    model.addAttribute("media", SetupForm.MEDIA);
    model.addAttribute("today", equipment.today());
    model.addAttribute("testers", equipment.inUse(EquipmentKind::showsPressure));
    model.addAttribute("thermometers", equipment.inUse(k -> k == EquipmentKind.THERMOMETER));
    KeptCompliance.newest(tests.all(jobId))
        .ifPresent(k -> model.addAttribute("kept", pages.kept(k)));
    model.addAttribute("unit", figures.unit().symbol());
    caps.of(jobId)
        .ifPresent(
            cap ->
                model.addAttribute(
                    "limit",
                    words.say(
                        "pressure.limit",
                        figures.pressureTwice(cap.limit().pressure().kilopascals()),
                        words.say("limit." + cap.limit().source().name()))));
    return "pressure/setup";
  }

  private static Phase phase(String step) {
    return step.equals(Phase.RE_TEST.step().word()) ? Phase.RE_TEST : Phase.SEARCH;
  }
}
