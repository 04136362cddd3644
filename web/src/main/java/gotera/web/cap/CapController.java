package gotera.web.cap;

import gotera.cap.BoilingReserve;
import gotera.coolant.BoilingPoint;
import gotera.coolant.CoolantMixture;
import gotera.drawing.BoilingLine;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.web.figures.Conflict;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.settings.WorkshopProperties;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The cap's page. */
@Controller
class CapController {

  private final CapService caps;
  private final JobService jobs;
  private final WorkshopProperties workshop;
  private final Words words;

  CapController(CapService caps, JobService jobs, WorkshopProperties workshop, Words words) {
    this.workshop = workshop;
    this.caps = caps;
    this.jobs = jobs;
    this.words = words;
  }

  /** A meaning to choose from when the stamp is asked back. */
  record Meaning(String value, String text) {}

  @GetMapping("/jobs/{id}/cap")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    CapForm form = CapForm.of(caps.record(id).orElse(null), figures);
    return page(id, form, Map.of(), List.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/cap")
  Object write(
      @PathVariable UUID id,
      @ModelAttribute CapForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    List<GaugePressure> meanings = new ArrayList<>();
    Optional<GaugePressure> rated = form.rated(problems, meanings);
    Optional<GaugePressure> figure = form.figure(problems, figures.unit());
    Optional<GaugePressure> test = form.confirmedTestPressure(problems, figures.unit());
    if (problems.none()) {
      GaugePressure cap = rated.orElseThrow();
      try {
        CapEntry entry =
            new CapEntry(form.stampWithUnit(cap), cap, figure, test, form.seals(), form.note());
        caps.write(id, entry, principal.getName(), form.version());
        return "redirect:/jobs/" + id + "/pressure-test";
      } catch (OptimisticLockingFailureException e) {
        problems.add("form", "problem.changed-meanwhile");
        CapForm theirs = CapForm.of(caps.record(id).orElse(null), figures);
        model.addAttribute(
            "conflict", Conflict.between(form, theirs, Map.of("seals", "seals."), words));
        form = form.withVersion(theirs.version());
      }
    }
    return Pages.unprocessable(
        page(id, form, problems.sentences(), meanings, figures, model), model);
  }

  @PostMapping("/jobs/{id}/cap/test")
  Object test(
      @PathVariable UUID id,
      @ModelAttribute TesterForm tester,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble stamp =
        caps.record(id).map(c -> OptionalDouble.of(c.ratedKpa)).orElse(OptionalDouble.empty());
    TesterReadings readings = tester.read(problems, figures, stamp);
    if (caps.of(id).isEmpty()) {
      problems.add("opening", "problem.cap-first");
    }
    if (!problems.none()) {
      model.addAttribute("tester", tester);
      CapForm form = CapForm.of(caps.record(id).orElse(null), figures);
      return Pages.unprocessable(
          page(id, form, problems.sentences(), List.of(), figures, model), model);
    }
    caps.tested(id, readings, principal.getName());
    return "redirect:/jobs/" + id + "/cap";
  }

  /** What is known of the cap on its tester, and where its coolant boils. */
  private void tested(UUID id, CapRecord cap, Figures figures, Model model) {
    TesterReadings readings = CapService.readings(cap);
    List<String> said = CapTestWords.of(readings, new GaugePressure(cap.ratedKpa), words);
    model.addAttribute("capTest", said);
    model.addAttribute("boilingLine", line(jobs.require(id), cap, figures));
  }

  private String line(JobView job, CapRecord cap, Figures figures) {
    CoolantMixture coolant =
        new CoolantMixture(job.strength().orElse(CoolantMixture.USUAL_STRENGTH));
    AbsolutePressure air =
        AbsolutePressure.atAltitude(
            Objects.requireNonNullElse(cap.altitudeMetres, workshop.altitude()));
    List<BoilingLine.Mark> marks = new ArrayList<>();
    marks.add(
        mark(
            "hottest",
            BoilingReserve.HOTTEST,
            words.say("boiling.hottest", figures.temperature(BoilingReserve.HOTTEST, 0))));
    double open = BoilingPoint.of(coolant, air).celsius();
    marks.add(mark("open", open, words.say("boiling.open", figures.temperature(open, 0))));
    if (cap.openingKpa != null) {
      BoilingReserve now = BoilingReserve.under(new GaugePressure(cap.openingKpa), air, coolant);
      marks.add(
          mark(
              "now",
              now.boils(),
              words.say(
                  "boiling.now",
                  figures.temperature(now.boils(), 0),
                  Figures.fixed(now.reserve(), 0))));
    }
    BoilingReserve right = BoilingReserve.under(new GaugePressure(cap.ratedKpa), air, coolant);
    marks.add(
        mark(
            "right",
            right.boils(),
            words.say(
                "boiling.right",
                figures.temperature(right.boils(), 0),
                Figures.fixed(right.reserve(), 0),
                figures.pressure(cap.ratedKpa))));
    return BoilingLine.of(marks, words.say("boiling.name"));
  }

  private static BoilingLine.Mark mark(String style, double celsius, String label) {
    return new BoilingLine.Mark(celsius, label, style);
  }

  /** What the cap does for the boiling point where the workshop is. */
  private String boils(JobView job, CapFacts cap, Figures figures) {
    CoolantMixture coolant =
        new CoolantMixture(job.strength().orElse(CoolantMixture.USUAL_STRENGTH));
    AbsolutePressure air = AbsolutePressure.atAltitude(workshop.altitude());
    return words.say(
        job.strength().isPresent() ? "cap.boils" : "cap.boils-assumed",
        Figures.percent(coolant.strength()),
        figures.temperature(BoilingPoint.of(coolant, cap.rated().above(air)).celsius(), 0),
        figures.temperature(BoilingPoint.of(coolant, air).celsius(), 0),
        Figures.plain(workshop.altitude()));
  }

  private static Meaning meaning(GaugePressure pressure, Figures figures) {
    double kilopascals = pressure.kilopascals();
    return new Meaning(
        Double.toString(kilopascals),
        figures.pressureTwice(kilopascals)
            + " \u00b7 "
            + figures.with(PressureUnit.BAR).pressure(kilopascals));
  }

  private String page(
      UUID id,
      CapForm form,
      Map<String, String> problems,
      List<GaugePressure> meanings,
      Figures figures,
      Model model) {
    model.addAttribute("place", new JobPlace(id, Step.CAP, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("sealStates", CapForm.SEALS);
    model.addAttribute("meanings", meanings.stream().map(m -> meaning(m, figures)).toList());
    if (!model.containsAttribute("tester")) {
      model.addAttribute("tester", TesterForm.of(caps.record(id), figures));
    }
    caps.record(id).ifPresent(cap -> tested(id, cap, figures, model));
    caps.of(id)
        .ifPresent(
            cap -> {
              model.addAttribute("rated", figures.pressureTwice(cap.rated().kilopascals()));
              model.addAttribute(
                  "limit", figures.pressureTwice(cap.limit().pressure().kilopascals()));
              model.addAttribute("boils", boils(jobs.require(id), cap, figures));
              model.addAttribute("limitFrom", words.say("limit." + cap.limit().source().word()));
            });
    return "cap/cap";
  }
}
