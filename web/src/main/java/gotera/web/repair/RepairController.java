package gotera.web.repair;

import gotera.circuit.Circuit.Joint;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.LeakSite;
import gotera.web.figures.Earlier;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.job.Ending;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The repair: what to know before it starts, and what was done, round by round. */
@Controller
class RepairController {
  private final RepairService repairs;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final RepairPages pages;
  private final LessonService lessons;
  private final StripService strips;
  private final LastTime lastTime;
  private final StripWords says;
  private final JobService jobs;
  private final Words words;

  RepairController(
      RepairService repairs,
      CircuitService circuits,
      CircuitWords names,
      RepairPages pages,
      LessonService lessons,
      StripService strips,
      LastTime lastTime,
      StripWords says,
      JobService jobs,
      Words words) {
    this.pages = pages;
    this.lessons = lessons;
    this.strips = strips;
    this.lastTime = lastTime;
    this.says = says;
    this.repairs = repairs;
    this.circuits = circuits;
    this.names = names;
    this.jobs = jobs;
    this.words = words;
  }

  /** A note as typed. */
  record RepairForm(
      String joint, String note, String renewed, String happenedOn, String happenedTime) {
    RepairForm {
      happenedOn = Entry.text(happenedOn, 10);
      happenedTime = Entry.text(happenedTime, 5);
      renewed = Entry.text(renewed, 5);
      joint = Entry.text(joint, 80);
      note = Entry.text(note, 4000);
    }
  }

  /** A place to choose. */
  record Place(String code, String name, boolean wet) {}

  @GetMapping("/jobs/{id}/repair")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      Figures figures,
      Model model) {
    jobs.require(id);
    String wet =
        circuits.sites(id).stream()
            .filter(LeakSite::wet)
            .map(LeakSite::joint)
            .findFirst()
            .orElse("");
    String about = Entry.text(joint, 80);
    return page(
        id,
        new RepairForm(about.isEmpty() ? wet : about, "", "", "", ""),
        Map.of(),
        figures,
        model);
  }

  @PostMapping("/jobs/{id}/repair")
  Object write(
      @PathVariable UUID id,
      @ModelAttribute RepairForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    if (form.note().isEmpty()) {
      problems.add("note", "problem.repair-note");
    }
    Optional<Instant> happened =
        new Earlier(form.happenedOn(), form.happenedTime()).read(problems, repairs.now());
    if (!problems.none()) {
      return new ModelAndView(
          page(id, form, problems.sentences(), figures, model),
          model.asMap(),
          HttpStatus.UNPROCESSABLE_CONTENT);
    }
    boolean known = circuits.circuit(id).joint(form.joint()).isPresent();
    boolean renewed = form.renewed().equals("true");
    repairs.write(
        id,
        new RepairService.Done(known ? form.joint() : "", form.note(), renewed, happened),
        principal.getName());
    return "redirect:/jobs/" + id + "/repair";
  }

  @PostMapping("/jobs/{id}/repair/{noteId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID noteId, Principal principal) {
    jobs.require(id);
    repairs.withdraw(id, noteId, principal.getName());
    return "redirect:/jobs/" + id + "/repair";
  }

  private String page(
      UUID id, RepairForm form, Map<String, String> problems, Figures figures, Model model) {
    List<String> wet =
        circuits.sites(id).stream().filter(LeakSite::wet).map(LeakSite::joint).toList();
    model.addAttribute("place", new JobPlace(id, Step.REPAIR, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute(
        "places",
        circuits.circuit(id).joints().stream()
            .map(Joint::code)
            .map(c -> new Place(c, names.joint(id, c), wet.contains(c)))
            .toList());
    model.addAttribute("before", pages.before(id, form.joint(), figures));
    model.addAttribute("notes", pages.notes(id, figures));
    model.addAttribute("opened", pages.opened(id));
    model.addAttribute("lessons", lessons.of(id));
    model.addAttribute("learns", lessons.known(id));
    model.addAttribute(
        "lastTime",
        lastTime.of(id).stream()
            .filter(o -> !o.needless())
            .map(o -> words.say("repair.last-time", o.what(), says.detail(id, o)))
            .toList());
    model.addAttribute("inTheWay", strips.of(id, Ending.PROVEN));
    return "repair/repair";
  }
}
