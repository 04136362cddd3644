package gotera.web.safe;

import gotera.range.Range;
import gotera.safe.Happened.Measured;
import gotera.safe.Opening;
import gotera.said.OpeningSaid;
import gotera.timing.CoolDown;
import gotera.timing.Wait.Kind;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingWords;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.time.Clock;
import java.time.Duration;
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
import org.springframework.web.bind.annotation.RequestParam;

/** Make safe: squeeze, measure, wait. */
@Controller
class SafeController {
  /** What can be said by one tap, by the word of its button. */
  private static final Map<String, OpeningSaid> SAID =
      Map.of(
          "soft", new OpeningSaid.Squeezed(true),
          "hard", new OpeningSaid.Squeezed(false),
          "vented", new OpeningSaid.Vented(),
          "ran", new OpeningSaid.EngineRan(),
          "qualified", new OpeningSaid.Qualified());

  private final SafeService safe;
  private final FindingService findings;
  private final FindingWords says;
  private final WaitService waits;
  private final JobService jobs;
  private final Words words;
  private final Clock clock;

  SafeController(
      SafeService safe,
      FindingService findings,
      FindingWords says,
      WaitService waits,
      JobService jobs,
      Words words,
      Clock clock) {
    this.clock = clock;
    this.safe = safe;
    this.findings = findings;
    this.says = says;
    this.waits = waits;
    this.jobs = jobs;
    this.words = words;
  }

  /** A reading as typed. */
  record TemperatureForm(String coolant, String room, String sure) {
    TemperatureForm {
      coolant = Entry.text(coolant, 20);
      room = Entry.text(room, 20);
      sure = Entry.text(sure, 10);
    }
  }

  @GetMapping("/jobs/{id}/make-safe")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, new TemperatureForm("", "", ""), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/make-safe")
  String say(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String saw, Principal principal) {
    jobs.require(id);
    OpeningSaid said =
        Optional.ofNullable(SAID.get(saw)).orElseThrow(() -> new NotFound("make safe " + saw));
    findings.write(id, said, principal.getName());
    return "redirect:/jobs/" + id + "/make-safe";
  }

  @PostMapping("/jobs/{id}/make-safe/temperature")
  Object measure(
      @PathVariable UUID id,
      @ModelAttribute TemperatureForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble coolant =
        problems.celsius("coolant", form.coolant(), figures.units(), Range.COOLANT);
    OptionalDouble room = problems.celsiusIfTyped("room", form.room(), figures.units(), Range.ROOM);
    if (problems.none() && form.sure().isEmpty()) {
      askBack(id, coolant.getAsDouble(), problems, figures, model);
    }
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    findings.write(
        id, new OpeningSaid.TemperatureRead(coolant.getAsDouble(), room), principal.getName());
    return "redirect:/jobs/" + id + "/make-safe";
  }

  /** Nothing cools or warms so fast: one of the two readings is a slip. */
  private void askBack(
      UUID id, double celsius, FieldProblems problems, Figures figures, Model model) {
    Optional<Measured> before = safe.known(id).opening().measured();
    if (before.isPresent()) {
      Duration between = Duration.between(before.get().at(), clock.instant());
      if (Opening.tooFast(before.get().celsius(), celsius, between)) {
        problems.add(
            "coolant",
            "problem.too-fast",
            figures.temperature(before.get().celsius(), 0),
            figures.temperature(celsius, 0),
            Figures.minutesAndSeconds(between.toSeconds()));
        model.addAttribute("mayBeSure", true);
      }
    }
  }

  private String page(
      UUID id, TemperatureForm form, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    SafeService.Known known = safe.known(id);
    model.addAttribute("place", new JobPlace(id, Step.MAKE_SAFE, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("known", known);
    model.addAttribute("mayOpen", known.mayOpen());
    model.addAttribute("verdict", verdict(known, figures));
    model.addAttribute("log", log(id, figures));
    model.addAttribute("waiting", waits.open(id, Kind.COOL_DOWN));
    known
        .until()
        .filter(d -> !d.isZero())
        .ifPresent(d -> model.addAttribute("minutes", Math.max(1, (d.toSeconds() + 59) / 60)));
    known
        .opening()
        .cooling()
        .ifPresent(
            c ->
                model.addAttribute(
                    "from",
                    words.say(
                        "safe.from",
                        Figures.fixed(c.minutes(), 0),
                        figures.temperature(c.ambient(), 0),
                        words.say(
                            c.minutes() == CoolDown.USUAL_MINUTES
                                ? "safe.usual"
                                : "safe.measured"))));
    return "safe/make-safe";
  }

  private String verdict(SafeService.Known known, Figures figures) {
    boolean hot = known.celsius().orElse(0) > CoolDown.SAFE_TO_OPEN;
    String said = said(known, figures);
    return hot && known.opening().verdict() == Opening.Verdict.PRESSURE
        ? said
            + " "
            + words.say("safe.hot-too", figures.temperature(known.celsius().getAsDouble(), 0))
        : said;
  }

  private String said(SafeService.Known known, Figures figures) {
    return words.say(
        "safe." + known.opening().verdict().word(),
        known.celsius().isPresent()
            ? figures.temperature(known.celsius().getAsDouble(), 0)
            : words.say("safe.no-temperature-yet"),
        known.opening().until().map(Figures::timeOfDay).orElse(""),
        figures.temperature(CoolDown.SAFE_TO_OPEN, 0));
  }

  /** Something said or read, that can be taken back. */
  record Logged(String id, String at, String what) {}

  private List<Logged> log(UUID id, Figures figures) {
    List<Logged> log = new ArrayList<>();
    for (Finding<OpeningSaid> f : findings.of(id, OpeningSaid.class)) {
      String what = says.saw(f.said());
      log.add(
          0,
          new Logged(
              f.id().toString(),
              Figures.moment(f.at()),
              f.said() instanceof OpeningSaid.TemperatureRead read
                  ? what + " " + figures.temperature(read.celsius(), 0)
                  : what));
    }
    return log;
  }
}
