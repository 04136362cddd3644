package gotera.web.circuit;

import gotera.look.Condition;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.said.CircuitSaid.Drips;
import gotera.said.CircuitSaid.DripsAt;
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
import java.time.Instant;
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

/** The circuit with its joints: what was seen where. */
@Controller
class FindController {
  private static final String PRESSED = LookState.PRESSED.word();

  private final CircuitService circuits;
  private final UnderPressure pressure;
  private final ConditionService conditions;
  private final ReachService reach;
  private final FindPages pages;
  private final PhotoService photos;
  private final JobService jobs;
  private final Words words;

  FindController(
      CircuitService circuits,
      UnderPressure pressure,
      ConditionService conditions,
      ReachService reach,
      FindPages pages,
      PhotoService photos,
      JobService jobs,
      Words words) {
    this.circuits = circuits;
    this.pressure = pressure;
    this.conditions = conditions;
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
    return pages.page(id, fresh(id, joint, figures), dark, Map.of(), figures, model);
  }

  /**
   * It begins in the state that the test left, at its pressure, until something was looked at after
   * it; else in that of the last look.
   */
  private FindForm fresh(UUID id, String joint, Figures figures) {
    Optional<LeakSite> last = circuits.looks(id).stream().reduce((a, b) -> b);
    return pressure
        .left(id)
        .filter(p -> p.until().isEmpty() || last.filter(l -> after(l, p)).isEmpty())
        .map(p -> FindForm.fresh(joint, PRESSED, figures.pressureField(p.kilopascals())))
        .orElseGet(() -> FindForm.fresh(joint, last.map(l -> state(l)).orElse(""), ""));
  }

  private static boolean after(LeakSite look, UnderPressure.Pressed pressed) {
    return pressed.until().filter(look.at()::isAfter).isPresent();
  }

  /** The state of the last look; its pressure is let off by now. */
  private static String state(LeakSite look) {
    return look.state().word().equals(PRESSED) ? LookState.COLD.word() : look.state().word();
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
    Optional<Instant> happened = form.happened(problems, circuits.now());
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, form, dark, problems.sentences(), figures, model), model);
    }
    Looked look = new Looked(form.joint(), form.stateThen(), saw.get(), pressure, drops);
    circuits.log(
        id,
        new CircuitService.Seen(
            form.dried().isEmpty() ? look : look.dried(), happened, form.note(), photograph),
        principal.getName());
    return "redirect:/jobs/" + id + "/find?joint=" + form.joint() + (dark ? "&dark=true" : "");
  }

  @PostMapping("/jobs/{id}/conditions")
  String condition(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      @RequestParam(defaultValue = "") String condition,
      Principal principal) {
    jobs.require(id);
    Condition felt =
        Worded.of(Condition.class, Entry.text(condition, 40))
            .filter(c -> circuits.circuit(id).joint(joint).isPresent())
            .orElseThrow(() -> new NotFound("condition " + condition + " at " + joint));
    conditions.write(id, joint, felt, principal.getName());
    return "redirect:/jobs/" + id + "/find?joint=" + joint;
  }

  @PostMapping("/jobs/{id}/drip-pressure")
  Object drips(
      @PathVariable UUID id,
      @ModelAttribute FindForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    Drips what =
        Worded.of(Drips.class, form.saw())
            .filter(d -> circuits.circuit(id).joint(form.joint()).isPresent())
            .orElseThrow(() -> new NotFound(form.saw() + " at " + form.joint()));
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble pressure = form.kilopascals(problems, figures);
    if (pressure.isEmpty() && problems.none()) {
      problems.add("pressure", "find.which-pressure");
    }
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, form, false, problems.sentences(), figures, model), model);
    }
    conditions.drips(
        id, new DripsAt(form.joint(), what, pressure.getAsDouble()), principal.getName());
    return "redirect:/jobs/" + id + "/find?joint=" + form.joint();
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
