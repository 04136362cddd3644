package gotera.web.refill;

import gotera.coolant.Chemistry;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.range.Range;
import gotera.refill.FillSteps.FillStep;
import gotera.refill.FillSteps.School;
import gotera.said.RefillSaid.CoolantIn;
import gotera.said.RefillSaid.MixWanted;
import gotera.said.RefillSaid.PurgeSign;
import gotera.said.RefillSaid.Source;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.repair.LessonService;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.util.Map;
import java.util.Optional;
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

/** The refill: what goes in, pouring, the steps, the end of the purge. */
@Controller
class RefillController {
  private static final double HUNDRED = 100;

  private final RefillService refills;
  private final RefillPages pages;
  private final RefillAsked asked;
  private final FillService fills;
  private final LessonService lessons;
  private final JobService jobs;
  private final Words words;

  RefillController(
      RefillService refills,
      RefillPages pages,
      RefillAsked asked,
      FillService fills,
      LessonService lessons,
      JobService jobs,
      Words words) {
    this.refills = refills;
    this.pages = pages;
    this.asked = asked;
    this.fills = fills;
    this.lessons = lessons;
    this.jobs = jobs;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/refill")
  Object page(
      @PathVariable UUID id, @ModelAttribute RefillForm form, Figures figures, Model model) {
    FieldProblems problems = new FieldProblems(words);
    jobs.require(id);
    asked.buying(id, form, problems, figures, model);
    asked.vacuum(id, form, problems, figures, model);
    asked.air(id, form, problems, figures, model);
    String view = page(id, form, problems.sentences(), figures, model);
    return problems.none() ? view : Pages.unprocessable(view, model);
  }

  @PostMapping("/jobs/{id}/refill/coolant")
  String coolant(@PathVariable UUID id, @ModelAttribute RefillForm form, Principal principal) {
    jobs.require(id);
    CoolantIn in = new CoolantIn(kind(form.in()), Worded.of(Source.class, form.source()));
    refills.chemistry(id, in, kind(form.goesIn()), principal.getName());
    return back(id);
  }

  private static Chemistry kind(String word) {
    return Worded.of(Chemistry.class, word).orElseThrow(() -> new NotFound(word));
  }

  @PostMapping("/jobs/{id}/refill/mix")
  Object mix(
      @PathVariable UUID id,
      @ModelAttribute RefillForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble wanted = problems.number("wanted", form.wanted(), Range.WANTED_PERCENT);
    OptionalDouble jug =
        problems.millilitres(
            "jug", form.jug(), figures.units().volume().millilitres(), Range.BOTTLE);
    Glycol glycol = Worded.of(Glycol.class, form.glycol()).orElseThrow();
    if (wanted.isPresent() && wanted.getAsDouble() / HUNDRED > glycol.highest()) {
      problems.add("wanted", "refill.too-strong", Figures.plain(HUNDRED * glycol.highest()));
    }
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    refills.mix(
        id,
        new MixWanted(glycol, wanted.getAsDouble() / HUNDRED, jug.getAsDouble()),
        principal.getName());
    return back(id);
  }

  /** A jug is in: it stands in the account, and the numbers follow. */
  @PostMapping("/jobs/{id}/refill/pour")
  String pour(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "-1") int booked,
      RedirectAttributes once,
      Principal principal) {
    jobs.require(id);
    Optional<RefillPages.Jug> jug = pages.next(id);
    boolean late = booked >= 0 && booked != fills.entries(id);
    if (!late && jug.isPresent()) {
      double millilitres = jug.get().millilitres();
      late = !fills.poured(id, booked, millilitres, jug.get().strength(), principal.getName());
    }
    if (late) {
      // somebody else stands at the same jug: it is in once
      once.addFlashAttribute("jugProblem", words.say("refill.jug-booked"));
    }
    return back(id);
  }

  @PostMapping("/jobs/{id}/refill/school")
  String school(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String school, Principal principal) {
    jobs.require(id);
    Optional<School> chosen = Worded.of(School.class, school);
    refills.school(id, chosen.orElseThrow(() -> new NotFound(school)), principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/refill/air-first")
  String airFirst(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean first,
      Principal principal) {
    jobs.require(id);
    refills.airFirst(id, first, principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/refill/steps")
  String step(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String does,
      @RequestParam(defaultValue = "") String at,
      Principal principal) {
    jobs.require(id);
    FillStep step =
        refills.steps(id).stream()
            .filter(s -> s.does().word().equals(does) && s.at().equals(at))
            .findFirst()
            .orElseThrow(() -> new NotFound("step " + does));
    refills.doStep(id, step, principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/refill/purge")
  String tell(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String saw, Principal principal) {
    jobs.require(id);
    PurgeSign sign =
        Worded.of(PurgeSign.class, saw).orElseThrow(() -> new NotFound("purge: " + saw));
    refills.tell(id, sign, principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/refill/procedure")
  String procedure(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String procedure,
      RedirectAttributes once,
      Principal principal) {
    jobs.require(id);
    String text = Entry.text(procedure, 4000);
    if (text.isEmpty()) {
      once.addFlashAttribute("procedureProblem", words.say("refill.procedure-missing"));
    } else {
      lessons.refill(id, text, principal.getName());
    }
    return back(id);
  }

  private static String back(UUID id) {
    return "redirect:/jobs/" + id + "/refill";
  }

  private String page(
      UUID id, RefillForm form, Map<String, String> problems, Figures figures, Model model) {
    model.addAttribute("place", new JobPlace(id, Step.REFILL, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("kinds", RefillForm.KINDS);
    model.addAttribute("sources", RefillForm.SOURCES);
    model.addAttribute("glycols", RefillForm.GLYCOLS);
    model.addAttribute("schools", RefillForm.SCHOOLS);
    model.addAttribute("told", Worded.words(PurgeSign.class));
    model.addAttribute("learns", lessons.known(id));
    model.addAttribute("procedure", lessons.refill(id));
    pages.show(id, form, figures, model);
    return "refill/refill";
  }
}
