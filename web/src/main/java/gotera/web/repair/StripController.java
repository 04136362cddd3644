package gotera.web.repair;

import gotera.circuit.Circuit.Joint;
import gotera.repair.StripList;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.photo.PhotoService;
import gotera.web.repair.StripService.Kept;
import gotera.web.repair.StripService.Off;
import gotera.web.repair.StripService.Shown;
import gotera.web.voice.VoiceService;
import gotera.web.words.Words;
import gotera.work.Step;
import java.io.IOException;
import java.security.Principal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

/** The strip list, and turned round the refit list. */
@Controller
class StripController {
  private static final String AT = "/repair/strip";

  private final StripService strips;
  private final LastTime lastTime;
  private final StripWords says;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final PhotoService photos;
  private final VoiceService voices;
  private final JobService jobs;
  private final Words words;

  StripController(
      StripService strips,
      LastTime lastTime,
      StripWords says,
      CircuitService circuits,
      CircuitWords names,
      PhotoService photos,
      VoiceService voices,
      JobService jobs,
      Words words) {
    this.strips = strips;
    this.lastTime = lastTime;
    this.says = says;
    this.circuits = circuits;
    this.names = names;
    this.photos = photos;
    this.voices = voices;
    this.jobs = jobs;
    this.words = words;
  }

  /** A place to choose. */
  record Place(String code, String name) {}

  /** A line of the list. */
  record StripRow(
      String id,
      String what,
      String detail,
      int fasteners,
      int back,
      boolean refitted,
      String open,
      Optional<String> photo,
      Optional<String> voice) {}

  /** What came off the last time: as it is given again, and in words. */
  record Known(Off off, String detail) {}

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, StripForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT)
  Object off(
      @PathVariable UUID id,
      @ModelAttribute StripForm form,
      @RequestParam(required = false) @Nullable MultipartFile photo,
      @RequestParam(required = false) @Nullable MultipartFile voice,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    boolean known = circuits.circuit(id).joint(form.joint()).isPresent();
    Kept kept = new Kept(photos.read(problems, photo), voices.read(problems, voice));
    String said =
        voice == null || voice.isEmpty()
            ? ""
            : words.say("strip.said", strips.lines(id).size() + 1);
    Optional<Off> off = form.read(problems, known, said);
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    strips.off(id, off.orElseThrow(), kept, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT + "/{lineId}/back")
  Object back(
      @PathVariable UUID id,
      @PathVariable UUID lineId,
      @RequestParam(defaultValue = "") String back,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    int count = StripForm.count(problems, Entry.text(back, 20));
    if (!problems.none()) {
      String said = problems.sentences().getOrDefault(StripForm.COUNT, "");
      return Pages.unprocessable(
          page(id, StripForm.EMPTY, Map.of("back-" + lineId, said), figures, model), model);
    }
    strips.back(id, lineId, count, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT + "/{lineId}/off-again")
  String offAgain(@PathVariable UUID id, @PathVariable UUID lineId) {
    jobs.require(id);
    strips.offAgain(id, lineId);
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT + "/{lineId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID lineId, Principal principal) {
    jobs.require(id);
    strips.withdraw(id, lineId, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  private String page(
      UUID id, StripForm form, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    List<Shown> lines = strips.lines(id);
    List<StripRow> off = new ArrayList<>(lines.stream().map(s -> line(id, s)).toList());
    List<StripRow> refit = new ArrayList<>(off);
    Collections.reverse(refit);
    StripList list = strips.list(id);
    model.addAttribute("place", new JobPlace(id, Step.REPAIR, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("off", off);
    model.addAttribute("refit", refit);
    model.addAttribute("done", !off.isEmpty() && list.complete());
    model.addAttribute("open", list.open().size());
    model.addAttribute(
        "lastTime", lastTime.of(id).stream().map(o -> new Known(o, says.detail(id, o))).toList());
    model.addAttribute(
        "places",
        circuits.circuit(id).joints().stream()
            .map(Joint::code)
            .map(c -> new Place(c, names.joint(id, c)))
            .toList());
    return "repair/strip";
  }

  private StripRow line(UUID id, Shown shown) {
    Off off = shown.off();
    StripList.TakenOff line = shown.line();
    return new StripRow(
        line.id(),
        off.what(),
        says.detail(id, off),
        line.fasteners(),
        line.back(),
        line.refitted(),
        line.open() ? says.open(line) : "",
        shown.photo().map(p -> "/photos/" + p),
        shown.voice().map(v -> "/voice/" + v));
  }
}
