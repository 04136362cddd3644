package gotera.web.repair;

import gotera.range.Range;
import gotera.repair.CraftCheck;
import gotera.repair.Cure;
import gotera.repair.RingFit;
import gotera.said.CraftSaid;
import gotera.timing.Wait;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.time.Duration;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Checks of the craft, new against old, rings, lessons. */
@Controller
class CraftController {
  private static final double HUNDRED = 100;

  private final CraftService craft;
  private final LessonService lessons;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final WaitService waits;
  private final JobService jobs;
  private final Words words;

  CraftController(
      CraftService craft,
      LessonService lessons,
      CircuitService circuits,
      CircuitWords names,
      WaitService waits,
      JobService jobs,
      Words words) {
    this.craft = craft;
    this.lessons = lessons;
    this.circuits = circuits;
    this.names = names;
    this.waits = waits;
    this.jobs = jobs;
    this.words = words;
  }

  /** Measures of a ring, as typed. */
  record RingForm(String ring, String cord, String groove, String depth) {
    RingForm {
      ring = Entry.text(ring, 20);
      cord = Entry.text(cord, 20);
      groove = Entry.text(groove, 20);
      depth = Entry.text(depth, 20);
    }
  }

  @PostMapping("/jobs/{id}/repair/checks")
  String check(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      @RequestParam(defaultValue = "") String check,
      Principal principal) {
    String at = joint(id, joint);
    CraftCheck made =
        Worded.of(CraftCheck.class, check).orElseThrow(() -> new NotFound("check " + check));
    boolean before = craft.done(id, at, made).isPresent();
    craft.make(id, at, made, principal.getName());
    Cure.after(made)
        .filter(c -> !before)
        .ifPresent(
            c ->
                waits.begin(
                    id, Wait.Kind.CURE, c.lasts(), names.joint(id, at), principal.getName()));
    return "redirect:/jobs/" + id + "/repair?joint=" + at;
  }

  /** New beside old; where it does not fit, a wait for the right one begins. */
  @PostMapping("/jobs/{id}/repair/new-part")
  String compare(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      @RequestParam(defaultValue = "") String saw,
      @RequestParam(defaultValue = "") String newNote,
      @RequestParam(defaultValue = "") String days,
      RedirectAttributes once,
      Principal principal) {
    String at = joint(id, joint);
    boolean fits = saw.equals("fits");
    if (!fits && !saw.equals("does-not-fit")) {
      throw new NotFound("compared: " + saw);
    }
    String note = Entry.text(newNote, 400);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble until = problems.numberIfTyped("days", Entry.text(days, 20), Range.DELIVERY);
    if (!problems.none()) {
      once.addFlashAttribute("daysProblem", problems.sentences().get("days"));
      once.addFlashAttribute("days", Entry.text(days, 20));
      once.addFlashAttribute("newNote", note);
      return "redirect:/jobs/" + id + "/repair?joint=" + at;
    }
    craft.compare(id, new CraftSaid.Compared(at, fits), note, principal.getName());
    if (!fits && until.isPresent()) {
      waits.begin(
          id,
          Wait.Kind.OTHER,
          Duration.ofMinutes(Math.round(1440 * until.getAsDouble())),
          words.say("new-part.wait", names.joint(id, at)),
          principal.getName());
    }
    return "redirect:/jobs/" + id + "/repair?joint=" + at;
  }

  @PostMapping("/jobs/{id}/repair/lessons")
  String learn(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String lesson,
      RedirectAttributes once,
      Principal principal) {
    jobs.require(id);
    String what = Entry.text(lesson, 400);
    if (what.isEmpty()) {
      once.addFlashAttribute("lessonProblem", words.say("lesson.missing"));
    } else {
      lessons.learn(id, what, principal.getName());
    }
    return "redirect:/jobs/" + id + "/repair";
  }

  @PostMapping("/jobs/{id}/repair/lessons/{lessonId}/withdraw")
  String forget(
      @PathVariable UUID id,
      @PathVariable UUID lessonId,
      @RequestParam(defaultValue = "") String back,
      Principal principal) {
    jobs.require(id);
    lessons.withdraw(id, lessonId, principal.getName());
    return "redirect:/jobs/" + id + (back.equals("refill") ? "/refill" : "/repair");
  }

  @GetMapping("/jobs/{id}/repair/ring")
  Object ring(@PathVariable UUID id, @ModelAttribute RingForm form, Figures figures, Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    boolean asked = !(form.ring() + form.cord() + form.groove() + form.depth()).isEmpty();
    model.addAttribute("place", new JobPlace(id, Step.REPAIR, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", Map.of());
    if (!asked) {
      return "repair/ring";
    }
    OptionalDouble ring = problems.number("ring", form.ring(), Range.RING);
    OptionalDouble cord = problems.number("cord", form.cord(), Range.RING);
    OptionalDouble groove = problems.number("groove", form.groove(), Range.RING);
    OptionalDouble depth = problems.number("depth", form.depth(), Range.RING);
    if (!problems.none()) {
      model.addAttribute("problems", problems.sentences());
      return Pages.unprocessable("repair/ring", model);
    }
    RingFit fit =
        RingFit.of(
            ring.getAsDouble(), cord.getAsDouble(), groove.getAsDouble(), depth.getAsDouble());
    model.addAttribute("says", fit.says().word());
    model.addAttribute(
        "measures",
        words.say(
            "ring.measures",
            Figures.fixed(HUNDRED * fit.stretch(), 1),
            Figures.fixed(HUNDRED * fit.squeeze(), 0)));
    return "repair/ring";
  }

  private String joint(UUID id, String joint) {
    jobs.require(id);
    String code = Entry.text(joint, 80);
    return circuits.circuit(id).joint(code).orElseThrow(() -> new NotFound(code)).code();
  }
}
