package gotera.web.dye;

import gotera.range.Range;
import gotera.said.DyeSaid.Match;
import gotera.said.DyeSaid.Scanned;
import gotera.web.circuit.CircuitService;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobService;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.io.IOException;
import java.security.Principal;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
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
  private final DyeService dye;
  private final CircuitService circuits;
  private final DyePages pages;
  private final PhotoService photos;
  private final JobService jobs;
  private final Words words;

  DyeController(
      DyeService dye,
      CircuitService circuits,
      DyePages pages,
      PhotoService photos,
      JobService jobs,
      Words words) {
    this.dye = dye;
    this.circuits = circuits;
    this.pages = pages;
    this.photos = photos;
    this.jobs = jobs;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/dye")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      @RequestParam(defaultValue = "false") boolean dark,
      Figures figures,
      Model model) {
    jobs.require(id);
    return pages.page(id, DyeForm.at(joint), dark, Map.of(), figures, model);
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
    OptionalDouble size = problems.numberIfTyped("size", form.size(), Range.GLOW);
    Optional<Photograph> photograph = photos.read(problems, photo);
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, form, dark, problems.sentences(), figures, model), model);
    }
    dye.scanned(
        id,
        new Scanned(form.joint(), glows(saw), size),
        form.note(),
        photograph,
        principal.getName());
    return to(id, dark, form.joint());
  }

  private static boolean glows(String saw) {
    return switch (saw) {
      case "glow" -> true;
      case "dark" -> false;
      default -> throw new NotFound("scanned: " + saw);
    };
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
            : problems.millilitres("dose", form.dose(), 1, Range.DOSE);
    Optional<Match> match = Worded.of(Match.class, form.compatible());
    if (match.isEmpty()) {
      problems.add("compatible", "problem.dye-compatible");
    }
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, form, false, problems.sentences(), figures, model), model);
    }
    dye.dosed(id, match.orElseThrow(), dose, principal.getName());
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
    OptionalDouble minutes = problems.number("ran", form.ran(), Range.RAN);
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, form, false, problems.sentences(), figures, model), model);
    }
    dye.ran(id, minutes.getAsDouble(), thermostat, heater, principal.getName());
    return to(id, false, "");
  }

  private static String to(UUID id, boolean dark, String joint) {
    return "redirect:/jobs/" + id + "/dye?" + (dark ? "dark=true&" : "") + "joint=" + joint;
  }
}
