package gotera.web.dye;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.drawing.CircuitView;
import gotera.dye.Dye;
import gotera.dye.Glow;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.Drawings;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.Step;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.NotFound;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import java.io.IOException;
import java.security.Principal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Dye and lamp: scan before, dose, run, scan again in the dark bay. */
@Controller
class DyeController {
  private static final List<String> COMPATIBLE = List.of("matched", "unknown");

  private final DyeService dye;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final Drawings drawings;
  private final PhotoService photos;
  private final JobService jobs;
  private final Words words;

  DyeController(
      DyeService dye,
      CircuitService circuits,
      CircuitWords names,
      Drawings drawings,
      PhotoService photos,
      JobService jobs,
      Words words) {
    this.dye = dye;
    this.circuits = circuits;
    this.names = names;
    this.drawings = drawings;
    this.photos = photos;
    this.jobs = jobs;
    this.words = words;
  }

  /**
   * Anything typed on the page.
   *
   * @param joint joint being scanned
   * @param size size of its glow
   * @param note anything else
   * @param dose dye put in
   * @param compatible whether it matches the coolant
   * @param ran minutes it ran
   */
  record DyeForm(
      String joint, String size, String note, String dose, String compatible, String ran) {
    DyeForm {
      joint = Entry.text(joint, 80);
      size = Entry.text(size, 20);
      note = Entry.text(note, 2000);
      dose = Entry.text(dose, 20);
      compatible = Entry.text(compatible, 20);
      ran = Entry.text(ran, 20);
    }

    static DyeForm at(String joint) {
      return new DyeForm(joint, "", "", "", "", "");
    }
  }

  /** A joint in the list. */
  record Scanned(String name, String address, String glow, String mark, boolean chosen) {}

  @GetMapping("/jobs/{id}/dye")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      @RequestParam(defaultValue = "false") boolean dark,
      Figures figures,
      Model model) {
    jobs.require(id);
    return page(id, DyeForm.at(joint), dark, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/dye/scan")
  Object scan(
      @PathVariable UUID id,
      @ModelAttribute DyeForm form,
      @RequestParam(defaultValue = "") String saw,
      @RequestParam(required = false) @Nullable MultipartFile photo,
      @RequestParam(defaultValue = "false") boolean dark,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    jobs.require(id);
    if (circuits.circuit(id).joint(form.joint()).isEmpty()) {
      throw new NotFound("joint " + form.joint());
    }
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble size = problems.numberIfTyped("size", form.size(), "mm", 0, 1000);
    Optional<Photograph> photograph = photos.read(problems, photo);
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, dark, problems.sentences(), figures, model), model);
    }
    dye.scanned(
        id, form.joint(), saw.equals("glow"), size, form.note(), photograph, principal.getName());
    return to(id, dark, form.joint());
  }

  @PostMapping("/jobs/{id}/dye/{what:before|round}")
  String mark(
      @PathVariable UUID id,
      @PathVariable String what,
      @RequestParam(defaultValue = "false") boolean dark,
      Principal principal) {
    jobs.require(id);
    if (what.equals("before")) {
      dye.scannedBefore(id, principal.getName());
    } else {
      dye.round(id, principal.getName());
    }
    return to(id, dark, "");
  }

  @PostMapping("/jobs/{id}/dye/dose")
  Object dose(
      @PathVariable UUID id,
      @ModelAttribute DyeForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble dose =
        form.dose().isEmpty()
            ? OptionalDouble.empty()
            : problems.millilitres("dose", form.dose(), 1, 0.1, 2000);
    if (!COMPATIBLE.contains(form.compatible())) {
      problems.add("compatible", "problem.dye-compatible");
    }
    if (!problems.none()) {
      return Pages.unprocessable(
          page(id, form, false, problems.sentences(), figures, model), model);
    }
    dye.dosed(id, form.compatible(), dose, principal.getName());
    return to(id, false, "");
  }

  @PostMapping("/jobs/{id}/dye/ran")
  Object ran(
      @PathVariable UUID id,
      @ModelAttribute DyeForm form,
      @RequestParam(defaultValue = "false") boolean thermostat,
      @RequestParam(defaultValue = "false") boolean heater,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble minutes = problems.number("ran", form.ran(), "min", 0.5, 100_000);
    if (!problems.none()) {
      return Pages.unprocessable(
          page(id, form, false, problems.sentences(), figures, model), model);
    }
    dye.ran(id, minutes.getAsDouble(), thermostat, heater, principal.getName());
    return to(id, false, "");
  }

  private static String to(UUID id, boolean dark, String joint) {
    return "redirect:/jobs/" + id + "/dye?" + (dark ? "dark=true&" : "") + "joint=" + joint;
  }

  private String page(
      UUID id,
      DyeForm form,
      boolean dark,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    Circuit circuit = circuits.circuit(id);
    Dye known = dye.known(id, circuit);
    Optional<Joint> chosen = circuit.joint(form.joint());
    String address = "/jobs/" + id + "/dye?" + (dark ? "dark=true&" : "") + "joint=";
    model.addAttribute("place", new JobPlace(id, Step.FIND, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("dark", dark);
    model.addAttribute("known", known);
    model.addAttribute("compatibles", COMPATIBLE);
    model.addAttribute("said", said(circuit, known));
    model.addAttribute("chosen", chosen.map(j -> names.joint(circuit, j.code())).orElse(null));
    model.addAttribute(
        "drawing", drawings.of(id, circuit, wanted(known, circuit, chosen, address, dark)));
    model.addAttribute(
        "joints",
        circuit.joints().stream()
            .map(j -> listed(circuit, known, j, address, form.joint()))
            .toList());
    return "dye/dye";
  }

  private static Drawings.Wanted wanted(
      Dye known, Circuit circuit, Optional<Joint> chosen, String address, boolean dark) {
    Map<String, CircuitView.Glow> glow = new HashMap<>();
    known
        .glows()
        .forEach(
            (joint, g) ->
                glow.put(joint, g.counts() ? CircuitView.Glow.NEW : CircuitView.Glow.OLD));
    Set<Branch> still =
        known.dosed().isPresent() ? known.unreached(circuit) : EnumSet.noneOf(Branch.class);
    return new Drawings.Wanted(
        address, chosen.map(Joint::code), Optional.empty(), still, glow, dark);
  }

  /** What has been done and what it is worth, in sentences. */
  private List<String> said(Circuit circuit, Dye known) {
    List<String> said = new ArrayList<>();
    if (known.dosed().isEmpty()) {
      said.add(words.say(known.scannedBefore() ? "dye.said.before" : "dye.said.first"));
      return said;
    }
    if (!known.scannedBefore()) {
      said.add(words.say("dye.said.not-before"));
    }
    if (known.run() <= 0) {
      said.add(words.say("dye.said.not-run"));
      return said;
    }
    Set<Branch> still = known.unreached(circuit);
    String where =
        still.stream()
            .map(b -> words.say("branch." + b.word()))
            .sorted()
            .collect(Collectors.joining(", "));
    said.add(
        still.isEmpty()
            ? words.say("dye.said.everywhere", Figures.plain(known.run()))
            : words.say("dye.said.not-reached", Figures.plain(known.run()), where));
    for (Glow glow : List.of(Glow.NEW, Glow.GROWN, Glow.UNCHANGED)) {
      String places =
          known.glows().entrySet().stream()
              .filter(e -> e.getValue() == glow)
              .map(e -> names.joint(circuit, e.getKey()))
              .sorted()
              .collect(Collectors.joining("; "));
      if (!places.isEmpty()) {
        said.add(words.say("dye.said." + word(glow), places));
      }
    }
    return said;
  }

  private Scanned listed(Circuit circuit, Dye known, Joint joint, String address, String chosen) {
    Glow glow = known.glows().get(joint.code());
    String said =
        glow != null
            ? words.say("dye.glows." + word(glow))
            : known.dark().contains(joint.code())
                ? words.say(
                    known.reached().contains(joint.branch()) ? "dye.dark" : "dye.dark-unreached")
                : words.say("dye.not-scanned");
    return new Scanned(
        names.joint(circuit, joint.code()),
        address + joint.code(),
        said,
        glow != null && glow.counts() ? "wet" : glow != null ? "stained" : "open",
        joint.code().equals(chosen));
  }

  private static String word(Glow glow) {
    return glow.name().toLowerCase(Locale.ROOT);
  }
}
