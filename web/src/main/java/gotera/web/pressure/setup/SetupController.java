package gotera.web.pressure.setup;

import gotera.circuit.Features.Drive;
import gotera.pressure.setup.HoldSetup;
import gotera.quantity.Typed;
import gotera.quantity.Understanding.Understood;
import gotera.web.cap.CapFacts;
import gotera.web.cap.CapService;
import gotera.web.circuit.EngineTypeService;
import gotera.web.equipment.EquipmentKind;
import gotera.web.equipment.EquipmentService;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.compliance.ComplianceWords;
import gotera.web.pressure.hold.PressureBench;
import gotera.web.pressure.hold.ReadingForm;
import gotera.web.pressure.trace.Written;
import gotera.web.settings.WorkshopProperties;
import gotera.web.words.Words;
import java.security.Principal;
import java.time.Clock;
import java.time.Duration;
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

/** Beginning a pressure test, and describing one anew while it runs. */
@Controller
class SetupController {
  private final PressureService tests;
  private final PressureBench bench;
  private final StampedCap stamped;
  private final CapService caps;
  private final JobService jobs;
  private final EngineTypeService types;
  private final EquipmentService equipment;
  private final ComplianceWords compliance;
  private final WorkshopProperties workshop;
  private final Clock clock;
  private final Words words;

  SetupController(
      PressureService tests,
      PressureBench bench,
      StampedCap stamped,
      CapService caps,
      JobService jobs,
      EngineTypeService types,
      EquipmentService equipment,
      ComplianceWords compliance,
      WorkshopProperties workshop,
      Clock clock,
      Words words) {
    this.tests = tests;
    this.bench = bench;
    this.stamped = stamped;
    this.caps = caps;
    this.jobs = jobs;
    this.types = types;
    this.equipment = equipment;
    this.compliance = compliance;
    this.workshop = workshop;
    this.clock = clock;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/{step:pressure-test|re-test}")
  String page(
      @PathVariable UUID id,
      @PathVariable String step,
      @RequestParam(defaultValue = "false") boolean again,
      @RequestParam(defaultValue = "") String test,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "false") boolean finishing,
      @RequestParam(defaultValue = "false") boolean undoing,
      @RequestParam Map<String, String> planned,
      Figures figures,
      Model model) {
    jobs.require(id);
    Phase phase = phase(step);
    List<PressureTestView> all = tests.all(id).stream().filter(t -> t.phase() == phase).toList();
    Optional<PressureTestView> shown =
        all.stream()
            .filter(t -> t.id().toString().equals(test))
            .findFirst()
            .or(() -> all.stream().reduce((a, b) -> b));
    if (shown.isEmpty() || again) {
      SetupForm form = Entry.over(blank(id, phase, figures), planned);
      return setupPage(id, phase, form, Optional.empty(), Map.of(), figures, model);
    }
    if (Typed.duration(from) instanceof Understood<Duration> listed) {
      model.addAttribute(PressureBench.FROM, listed.value().toMillis() / 1000.0);
    }
    model.addAttribute("finishing", finishing && shown.get().finishedAt().isEmpty());
    model.addAttribute("undoing", undoing && shown.get().finishedAt().isEmpty());
    return bench.page(shown.get(), ReadingForm.EMPTY, Map.of(), figures, model);
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
    SetupReading.Tools tools = SetupReading.Tools.chosen(form, equipment);
    Optional<CapFacts> cap = stamped.cap(id, form, problems, figures, principal, model);
    Optional<HoldSetup> hold =
        cap.flatMap(c -> SetupReading.read(form, problems, known(id, c), tools, figures));
    if (hold.isEmpty()) {
      return Pages.unprocessable(
          setupPage(id, phase(step), form, Optional.empty(), problems.sentences(), figures, model),
          model);
    }
    tests.begin(
        id, phase(step), hold.get(), tools.readingMode(form), form.loop(), principal.getName());
    return "redirect:/jobs/" + id + "/" + step;
  }

  @GetMapping("/tests/{testId}/set-up")
  String anew(@PathVariable UUID testId, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    if (test.finishedAt().isPresent()) {
      return PressureBench.back(test);
    }
    return setupPage(
        test.jobId(),
        test.phase(),
        SetupForm.of(test, figures),
        Optional.of(testId),
        Map.of(),
        figures,
        model);
  }

  @PostMapping("/tests/{testId}/set-up")
  Object setUp(
      @PathVariable UUID testId,
      @ModelAttribute SetupForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    SetupReading.Tools tools = SetupReading.Tools.chosen(form, equipment);
    Optional<HoldSetup> hold =
        stamped
            .cap(test.jobId(), form, problems, figures, principal, model)
            .flatMap(
                c ->
                    SetupReading.anew(
                        form, problems, known(test.jobId(), c), tools, figures, test.hold()));
    if (hold.isPresent()) {
      Written added = tests.setUp(testId, hold.get(), tools.readingMode(form), form.loop());
      if (added == Written.DONE) {
        return PressureBench.back(test);
      }
      problems.add("form", "problem.finished");
    }
    return Pages.unprocessable(
        setupPage(
            test.jobId(),
            test.phase(),
            form,
            Optional.of(testId),
            problems.sentences(),
            figures,
            model),
        model);
  }

  /** What a new test of a job may take from those before it. */
  private SetupReading.Known known(UUID jobId, CapFacts cap) {
    return SetupReading.Known.of(cap, tests.all(jobId), clock.instant());
  }

  private SetupForm blank(UUID jobId, Phase phase, Figures figures) {
    List<PressureTestView> before = tests.all(jobId);
    return SetupForm.blank(
        jobs.require(jobId),
        phase,
        before.isEmpty() ? Optional.empty() : Optional.of(before.get(before.size() - 1)),
        workshop.altitude(),
        figures);
  }

  /** What can be chosen. */
  private void choices(UUID jobId, Model model) {
    model.addAttribute("soaks", SetupForm.SOAKS);
    model.addAttribute("purposes", SetupForm.PURPOSES);
    model.addAttribute("media", SetupForm.MEDIA);
    boolean electric = types.features(jobId).drive() == Drive.ELECTRIC;
    model.addAttribute("loops", electric ? SetupForm.LOOPS : List.of());
    model.addAttribute("today", equipment.today());
    model.addAttribute("testers", equipment.inUse(EquipmentKind::showsPressure));
    model.addAttribute("thermometers", equipment.inUse(k -> k == EquipmentKind.THERMOMETER));
  }

  private String setupPage(
      UUID jobId,
      Phase phase,
      SetupForm form,
      Optional<UUID> running,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    model.addAttribute("place", new JobPlace(jobId, phase.step(), figures));
    model.addAttribute("form", form);
    model.addAttribute(
        "address",
        running
            .map(t -> "/tests/" + t + "/set-up")
            .orElse("/jobs/" + jobId + "/" + phase.step().word()));
    model.addAttribute("running", running.isPresent());
    model.addAttribute("problems", problems);
    model.addAttribute("phase", phase.word());
    choices(jobId, model);
    bench.apart(jobId, phase, model);
    compliance.kept(tests.all(jobId), figures).ifPresent(k -> model.addAttribute("kept", k));
    caps.of(jobId)
        .ifPresent(
            cap ->
                model.addAttribute(
                    "limit",
                    words.say(
                        "pressure.limit",
                        figures.pressureTwice(cap.limit().pressure().kilopascals()),
                        words.say("limit." + cap.limit().source().word()))));
    return "pressure/setup";
  }

  private static Phase phase(String step) {
    return step.equals(Phase.RE_TEST.step().word()) ? Phase.RE_TEST : Phase.SEARCH;
  }
}
