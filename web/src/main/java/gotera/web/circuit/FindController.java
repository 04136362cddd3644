package gotera.web.circuit;

import gotera.circuit.DripSpot;
import gotera.look.Sight;
import gotera.suspects.Observation.Looked;
import gotera.web.figures.Entry;
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

/** The circuit with its joints: what was seen where, and where it drips. */
@Controller
class FindController {

  private final CircuitService circuits;
  private final DripService drips;
  private final ReachService reach;
  private final FindPages pages;
  private final PhotoService photos;
  private final JobService jobs;
  private final Words words;

  FindController(
      CircuitService circuits,
      DripService drips,
      ReachService reach,
      FindPages pages,
      PhotoService photos,
      JobService jobs,
      Words words) {
    this.circuits = circuits;
    this.drips = drips;
    this.reach = reach;
    this.pages = pages;
    this.photos = photos;
    this.jobs = jobs;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/find")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      @RequestParam(defaultValue = "false") boolean dark,
      Figures figures,
      Model model) {
    jobs.require(id);
    String state =
        circuits.looks(id).stream().reduce((a, b) -> b).map(s -> s.state().word()).orElse("");
    FindForm form = new FindForm(joint, "", state, "", "", "");
    return pages.page(id, form, dark, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/find")
  Object log(
      @PathVariable UUID id,
      @ModelAttribute FindForm form,
      @RequestParam(required = false) @Nullable MultipartFile photo,
      @RequestParam(defaultValue = "false") boolean dark,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    jobs.require(id);
    Optional<Sight> saw = Worded.of(Sight.class, form.saw());
    if (circuits.circuit(id).joint(form.joint()).isEmpty() || saw.isEmpty()) {
      throw new NotFound("joint " + form.joint() + ", " + form.saw());
    }
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble drops = form.dropsPerMinute(problems);
    OptionalDouble pressure = form.kilopascals(problems, figures);
    Optional<Photograph> photograph = photos.read(problems, photo);
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, form, dark, problems.sentences(), figures, model), model);
    }
    circuits.log(
        id,
        new Looked(form.joint(), form.stateThen(), saw.get(), pressure, drops),
        form.note(),
        photograph,
        principal.getName());
    return "redirect:/jobs/" + id + "/find?joint=" + form.joint() + (dark ? "&dark=true" : "");
  }

  @PostMapping("/jobs/{id}/drips")
  String drip(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String spot,
      @RequestParam(defaultValue = "false") boolean running,
      Principal principal) {
    jobs.require(id);
    DripSpot seen =
        Worded.of(DripSpot.class, Entry.text(spot, 40))
            .orElseThrow(() -> new NotFound("spot " + spot));
    drips.write(id, seen, running, principal.getName());
    return "redirect:/jobs/" + id + "/find";
  }

  @PostMapping("/jobs/{id}/drips/undo")
  String undoDrip(@PathVariable UUID id, Principal principal) {
    jobs.require(id);
    drips.undo(id, principal.getName());
    return "redirect:/jobs/" + id + "/find";
  }

  @PostMapping("/jobs/{id}/heater-valve")
  String heaterValve(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean shut,
      Principal principal) {
    jobs.require(id);
    reach.heaterValve(id, shut, principal.getName());
    return "redirect:/jobs/" + id + "/find";
  }
}
