package gotera.web.pressure;

import gotera.cap.CapStamp;
import gotera.formats.FormatProblem;
import gotera.formats.HoldDescription;
import gotera.formats.ReadOutcome;
import gotera.formats.TraceCsv;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.quantity.GaugePressure;
import gotera.web.cap.CapFacts;
import gotera.web.cap.CapService;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureService.Added;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.NotFound;
import gotera.web.shell.Words;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** The bench of pressure test and re-test, and everything entered there. */
@Controller
class PressureController {
  private final PressureService tests;
  private final PressurePages pages;
  private final CapService caps;
  private final JobService jobs;
  private final Words words;

  PressureController(
      PressureService tests, PressurePages pages, CapService caps, JobService jobs, Words words) {
    this.tests = tests;
    this.pages = pages;
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
    return bench(latest.get(), ReadingForm.EMPTY, Map.of(), figures, model);
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
    Optional<HoldDescription> hold =
        cap.flatMap(c -> form.read(problems, c, SetupForm.Draws.NONE, figures.unit()));
    if (hold.isEmpty()) {
      return unprocessable(
          setupPage(id, phase(step), form, problems.sentences(), figures, model), model);
    }
    tests.begin(id, phase(step), hold.get(), form.readingMode(), principal.getName());
    return "redirect:/jobs/" + id + "/" + step;
  }

  /** Where a form of the bench was answered in place, its address leads back to the bench. */
  @GetMapping("/tests/{testId}/{form}")
  String reload(@PathVariable UUID testId) {
    return back(tests.require(testId));
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
              reading.get().seconds(),
              reading.get().kilopascals(),
              reading.get().celsius(),
              principal.getName());
      if (added == Added.NOT_LATER) {
        Trace trace = test.trace();
        double last = trace.seconds(trace.size() - 1) - test.valveShut().orElse(0.0);
        problems.add("at", "problem.time-back", Figures.minutesAndSeconds(last));
      } else if (added == Added.FINISHED) {
        problems.add("form", "problem.finished");
      } else {
        return back(test);
      }
    }
    if (problems.sentences().containsKey("gauge")
        && !form.gauge().isEmpty()
        && form.step().isEmpty()) {
      model.addAttribute("mayConfirm", confirmable(form, test, figures));
    }
    return unprocessable(
        bench(tests.require(testId), form, problems.sentences(), figures, model), model);
  }

  /** Whether the one thing wrong with the gauge is that it is above the limit. */
  private boolean confirmable(ReadingForm form, PressureTestView test, Figures figures) {
    FieldProblems problems = new FieldProblems(words);
    new ReadingForm("", form.gauge(), "", "", "true")
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
    return back(test);
  }

  @PostMapping("/tests/{testId}/undo")
  String undo(@PathVariable UUID testId, Principal principal) {
    PressureTestView test = tests.require(testId);
    tests.undo(testId, principal.getName());
    return back(test);
  }

  @PostMapping("/tests/{testId}/finish")
  String finish(@PathVariable UUID testId) {
    tests.finish(testId);
    return back(tests.require(testId));
  }

  @PostMapping("/tests/{testId}/draws")
  Object draws(
      @PathVariable UUID testId, @ModelAttribute DrawForm form, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<HoldDescription.DrawMember> measuring = form.measuring(problems, figures);
    Optional<HoldDescription.DrawMember> closing = form.closing(problems, figures);
    if (problems.none()) {
      Added added =
          tests.describe(
              testId, HoldEdits.withDraws(test.hold(), measuring, closing), test.readingMode());
      if (added == Added.YES) {
        return back(test);
      }
      problems.add("form", "problem.finished");
    }
    model.addAttribute("draws", form);
    return unprocessable(
        bench(test, ReadingForm.EMPTY, problems.sentences(), figures, model), model);
  }

  @PostMapping("/tests/{testId}/trace")
  Object trace(
      @PathVariable UUID testId,
      @RequestParam MultipartFile file,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    ReadOutcome<Trace> read;
    try (InputStream stream = new BufferedInputStream(file.getInputStream())) {
      read = TraceCsv.read(stream);
    }
    if (read instanceof ReadOutcome.Accepted<Trace> accepted) {
      switch (tests.addTrace(testId, accepted.value(), principal.getName())) {
        case YES -> {
          return back(test);
        }
        case FINISHED -> problems.add("file", "problem.finished");
        case NOT_EMPTY, NOT_LATER -> problems.add("file", "problem.not-empty");
      }
    } else if (read instanceof ReadOutcome.Rejected<Trace> rejected) {
      problems.add("file", "problem.file-refused");
      model.addAttribute(
          "fileProblems", rejected.problems().stream().map(FormatProblem::sentence).toList());
      model.addAttribute("fileProblemsMore", rejected.more());
    }
    return unprocessable(
        bench(test, ReadingForm.EMPTY, problems.sentences(), figures, model), model);
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

  private String bench(
      PressureTestView test,
      ReadingForm form,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    model.addAttribute("place", new JobPlace(test.jobId(), test.phase().step(), figures));
    model.addAttribute("test", pages.page(test, tests.now(test), figures));
    model.addAttribute("reading", form);
    model.addAttribute("problems", problems);
    if (!model.containsAttribute("draws")) {
      model.addAttribute("draws", DrawForm.of(test, figures));
    }
    return "pressure/bench";
  }

  private static String back(PressureTestView test) {
    return "redirect:/jobs/" + test.jobId() + "/" + test.phase().step().word();
  }

  private static Phase phase(String step) {
    return step.equals(Phase.RE_TEST.step().word()) ? Phase.RE_TEST : Phase.SEARCH;
  }

  private static ModelAndView unprocessable(String view, Model model) {
    return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
  }
}
