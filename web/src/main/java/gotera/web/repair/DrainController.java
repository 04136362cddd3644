package gotera.web.repair;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.range.Range;
import gotera.refill.FillAccount;
import gotera.repair.DrainPlan;
import gotera.said.FillSaid;
import gotera.uncertainty.DecisionLimits;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/**
 * Draining: the places in their order, what comes at each, how it is caught; all in the account.
 */
@Controller
class DrainController {
  private static final String AT = "/repair/drain";

  /** How it is caught. */
  private static final List<String> CAUGHT = List.of("collected", "clean");

  private final FillService fills;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final JobService jobs;
  private final Words words;

  DrainController(
      FillService fills,
      CircuitService circuits,
      CircuitWords names,
      JobService jobs,
      Words words) {
    this.fills = fills;
    this.circuits = circuits;
    this.names = names;
    this.jobs = jobs;
    this.words = words;
  }

  /** What came, as typed. */
  record DrainForm(String at, String drained, String catches, String goes) {
    DrainForm {
      at = Entry.text(at, 80);
      drained = Entry.text(drained, 40);
      catches = Entry.choice(catches, CAUGHT);
      goes = Entry.text(goes, 200);
    }
  }

  /** A place made for it: its name, and what is to come there while nobody opened it. */
  record Place(String code, String name, String comes) {}

  /** A joint to choose. */
  record Opening(String code, String name) {}

  /** What came at a place. */
  record Booked(String id, String name, String what, String goes) {}

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, new DrainForm("", "", "", ""), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT)
  Object drain(
      @PathVariable UUID id,
      @ModelAttribute DrainForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    if (circuits.circuit(id).joint(form.at()).isEmpty()) {
      problems.add("at", "drain.where");
    }
    OptionalDouble volume =
        problems.millilitres(
            "drained", form.drained(), figures.units().volume().millilitres(), Range.FILL);
    fills
        .account(id)
        .map(FillAccount::full)
        .filter(full -> volume.orElse(0) > full)
        .ifPresent(full -> problems.add("drained", "problem.more-than-full", figures.volume(full)));
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    boolean clean = form.catches().equals("clean");
    fills.drained(
        id,
        new FillSaid.Drained(form.at(), volume.getAsDouble(), clean),
        form.goes(),
        principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  private String page(
      UUID id, DrainForm form, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    Circuit circuit = circuits.circuit(id);
    List<FillService.Drained> booked = fills.drained(id);
    model.addAttribute("place", new JobPlace(id, Step.REPAIR, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("catches", CAUGHT);
    model.addAttribute("known", fills.account(id).isPresent());
    model.addAttribute("plan", plan(id, circuit, booked, figures));
    model.addAttribute(
        "openings",
        circuit.joints().stream()
            .map(Joint::code)
            .map(c -> new Opening(c, names.joint(id, c)))
            .toList());
    model.addAttribute("booked", booked.stream().map(b -> booked(id, b, figures)).toList());
    fills
        .account(id)
        .map(FillAccount::now)
        .ifPresent(
            now ->
                model.addAttribute(
                    "stays", words.say("drain.stays", figures.volume(now.volume()))));
    return "repair/drain";
  }

  /** By what was in before anything was drained here. */
  private List<Place> plan(
      UUID id, Circuit circuit, List<FillService.Drained> booked, Figures figures) {
    double out = booked.stream().mapToDouble(FillService.Drained::millilitres).sum();
    double before = fills.account(id).map(a -> a.now().volume() + out).orElse(0.0);
    return DrainPlan.of(circuit, before).places().stream()
        .map(
            p ->
                new Place(
                    p.at(),
                    words.say(
                        p.at().endsWith(".cap") || p.at().startsWith("cap.")
                            ? "drain.tank"
                            : "drain.at",
                        names.joint(id, p.at())),
                    before > 0
                        ? words.say(
                            "drain.comes",
                            figures.volume(p.comes()),
                            figures.volume(DecisionLimits.TWO_SIDED * p.u()))
                        : ""))
        .toList();
  }

  private Booked booked(UUID id, FillService.Drained b, Figures figures) {
    return new Booked(
        b.id().toString(),
        circuits.circuit(id).joint(b.at()).isPresent() ? names.joint(id, b.at()) : b.at(),
        words.say(
            b.clean() ? "drain.booked-clean" : "drain.booked", figures.volume(b.millilitres())),
        b.goes());
  }
}
