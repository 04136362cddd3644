package gotera.web.safe;

import gotera.quantity.Temperature;
import gotera.quantity.Typed;
import gotera.timing.CoolDown;
import gotera.timing.Wait.Kind;
import gotera.web.finding.FindingService;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.Step;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.NotFound;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import gotera.web.timer.WaitService;
import java.security.Principal;
import java.util.List;
import java.util.Locale;
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
  private static final List<String> SAID = List.of("soft", "hard", "qualified");

  private final SafeService safe;
  private final FindingService findings;
  private final WaitService waits;
  private final JobService jobs;
  private final Words words;

  SafeController(
      SafeService safe, FindingService findings, WaitService waits, JobService jobs, Words words) {
    this.safe = safe;
    this.findings = findings;
    this.waits = waits;
    this.jobs = jobs;
    this.words = words;
  }

  /** A reading as typed. */
  record TemperatureForm(String coolant, String room) {
    TemperatureForm {
      coolant = Entry.text(coolant, 20);
      room = Entry.text(room, 20);
    }
  }

  @GetMapping("/jobs/{id}/make-safe")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, new TemperatureForm("", ""), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/make-safe")
  String say(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String saw, Principal principal) {
    jobs.require(id);
    if (!SAID.contains(saw)) {
      throw new NotFound("make safe " + saw);
    }
    findings.write(id, FindingService.New.of(SafeService.CHECK, "", saw), principal.getName());
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
    Optional<Temperature> coolant =
        problems.take("coolant", form.coolant(), Typed.temperature(form.coolant()));
    Optional<Temperature> room =
        problems.takeIfTyped("room", form.room(), Typed.temperature(form.room()));
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    findings.write(
        id,
        new FindingService.New(
            SafeService.CHECK,
            "",
            "temperature",
            OptionalDouble.of(coolant.orElseThrow().celsius()),
            room.isPresent() ? OptionalDouble.of(room.get().celsius()) : OptionalDouble.empty(),
            "",
            Optional.empty()),
        principal.getName());
    return "redirect:/jobs/" + id + "/make-safe";
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
    model.addAttribute("verdict", verdict(known));
    model.addAttribute("waiting", waits.open(id, Kind.COOL_DOWN));
    known
        .until()
        .filter(d -> !d.isZero())
        .ifPresent(d -> model.addAttribute("minutes", Math.max(1, (d.toSeconds() + 59) / 60)));
    known
        .cooling()
        .ifPresent(
            c ->
                model.addAttribute(
                    "from",
                    words.say(
                        "safe.from",
                        Figures.fixed(c.minutes(), 0),
                        Figures.fixed(c.ambient(), 0),
                        words.say(
                            c.minutes() == CoolDown.USUAL_MINUTES
                                ? "safe.usual"
                                : "safe.measured"))));
    return "safe/make-safe";
  }

  private String verdict(SafeService.Known known) {
    return words.say(
        "safe." + known.verdict().name().toLowerCase(Locale.ROOT).replace('_', '-'),
        Figures.fixed(known.celsius().orElse(0), 0));
  }
}
