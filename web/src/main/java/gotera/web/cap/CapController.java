package gotera.web.cap;

import gotera.coolant.BoilingPoint;
import gotera.coolant.CoolantMixture;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.job.Step;
import gotera.web.shell.Conflict;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
  private static final double USUAL_STRENGTH = 0.5;

  private final CapService caps;
  private final JobService jobs;
  private final Words words;

  CapController(CapService caps, JobService jobs, Words words) {
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
      try {
        caps.write(
            id,
            form.stampWithUnit(rated.orElseThrow()),
            rated.orElseThrow(),
            figure,
            test,
            form.seals(),
            form.note(),
            principal.getName(),
            form.version());
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

  /** What the cap does for the boiling point, at sea level. */
  private String boils(JobView job, CapFacts cap) {
    CoolantMixture coolant = new CoolantMixture(job.strength().orElse(USUAL_STRENGTH));
    AbsolutePressure air = AbsolutePressure.STANDARD_ATMOSPHERE;
    return words.say(
        job.strength().isPresent() ? "cap.boils" : "cap.boils-assumed",
        Figures.plain(100 * coolant.strength()),
        Figures.fixed(BoilingPoint.of(coolant, cap.rated().above(air)).celsius(), 0),
        Figures.fixed(BoilingPoint.of(coolant, air).celsius(), 0));
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
    model.addAttribute(
        "meanings",
        meanings.stream()
            .map(
                m ->
                    new Meaning(
                        Double.toString(m.kilopascals()),
                        figures.pressureTwice(m.kilopascals())
                            + " \u00b7 "
                            + new Figures(PressureUnit.BAR).pressure(m.kilopascals())))
            .toList());
    caps.of(id)
        .ifPresent(
            cap -> {
              model.addAttribute("rated", figures.pressureTwice(cap.rated().kilopascals()));
              model.addAttribute(
                  "limit", figures.pressureTwice(cap.limit().pressure().kilopascals()));
              model.addAttribute("boils", boils(jobs.require(id), cap));
              model.addAttribute("limitFrom", words.say("limit." + cap.limit().source().name()));
            });
    return "cap/cap";
  }
}
