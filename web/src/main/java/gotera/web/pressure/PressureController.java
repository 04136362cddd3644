package gotera.web.pressure;

import gotera.pressure.trace.TraceEvent;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureService.Added;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.Identifiers;
import gotera.web.shell.NotFound;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import gotera.word.Worded;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The bench of pressure test and re-test: readings, events, the end, and the way back. */
@Controller
class PressureController {
  private final PressureService tests;
  private final PressureBench bench;
  private final JobService jobs;
  private final List<Signed> signed;
  private final Identifiers identifiers;
  private final Words words;

  PressureController(
      PressureService tests,
      PressureBench bench,
      JobService jobs,
      List<Signed> signed,
      Identifiers identifiers,
      Words words) {
    this.tests = tests;
    this.bench = bench;
    this.jobs = jobs;
    this.signed = signed;
    this.identifiers = identifiers;
    this.words = words;
  }

  @PostMapping("/test-now")
  String testNow(Principal principal) {
    return "redirect:/jobs/" + jobs.begin(principal.getName()) + "/pressure-test";
  }

  /** Where a form of the bench was answered in place, its address leads back to the bench. */
  @GetMapping("/tests/{testId}/{form}")
  String reload(@PathVariable UUID testId) {
    return PressureBench.back(tests.where(testId));
  }

  @PostMapping("/tests/{testId}/readings")
  Object reading(
      @PathVariable UUID testId,
      @ModelAttribute ReadingForm form,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    return entered(testId, form, Optional.empty(), figures, principal, once, model)
        .orElseGet(() -> PressureBench.back(tests.require(testId)));
  }

  @PostMapping("/tests/{testId}/events")
  Object event(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String kind,
      @ModelAttribute ReadingForm form,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    TraceEvent.Kind event =
        Worded.of(TraceEvent.Kind.class, kind).orElseThrow(() -> new NotFound("event " + kind));
    Optional<Object> refused =
        entered(testId, form, Optional.of(event), figures, principal, once, model);
    if (refused.isPresent()) {
      return refused.get();
    }
    PressureTestView test = tests.require(testId);
    if (event != TraceEvent.Kind.PLACE_SEEN) {
      return PressureBench.back(test);
    }
    // seen is enough: the pressure is let off and the test is over
    tests.add(testId, Optional.empty(), Optional.of(TraceEvent.Kind.RELEASED), principal.getName());
    tests.finish(testId);
    once.addFlashAttribute("stopped", testId);
    return "redirect:/jobs/" + test.jobId() + "/find";
  }

  /**
   * Keeps the reading that stands in the form, if one does, and then what was done.
   *
   * @return the page that says what is wrong; empty where everything was kept
   */
  private Optional<Object> entered(
      UUID testId,
      ReadingForm form,
      Optional<TraceEvent.Kind> event,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<PressureService.Typed> reading =
        event.isPresent() && !form.any()
            ? Optional.empty()
            : form.read(problems, test, tests.now(test), identifiers.next(), figures);
    if (problems.none()) {
      Added added = tests.add(testId, reading, event, principal.getName());
      if (added == Added.YES) {
        return Optional.empty();
      }
      if (added == Added.CLOCK_BACK) {
        once.addFlashAttribute("notice", words.say("pressure.clock-back"));
        return Optional.empty();
      }
      refuse(problems, added);
    } else {
      offer(form, test, problems, figures, model);
    }
    return Optional.of(
        Pages.unprocessable(
            bench.page(tests.require(testId), form, problems.sentences(), figures, model), model));
  }

  private static void refuse(FieldProblems problems, Added added) {
    switch (added) {
      case SAME_TIME -> problems.add("at", "problem.same-time");
      case TOO_FAR -> problems.add("at", "problem.too-far");
      case ANOTHER_TEST -> problems.add("form", "problem.another-test");
      case GONE -> problems.add("form", "problem.gone");
      default -> problems.add("form", "problem.finished");
    }
  }

  /** Where one word of the user's would do, it is offered as one tap. */
  private void offer(
      ReadingForm form,
      PressureTestView test,
      FieldProblems problems,
      Figures figures,
      Model model) {
    boolean high = problems.sentences().containsKey("gauge");
    boolean later = problems.sentences().containsKey("at");
    // one is asked after the other, and what was said already goes with the form
    if (understood(form, test, figures, high, later)) {
      model.addAttribute("mayConfirm", high);
      model.addAttribute("mayBeLater", later && !high);
    }
  }

  private boolean understood(
      ReadingForm form, PressureTestView test, Figures figures, boolean high, boolean later) {
    FieldProblems problems = new FieldProblems(words);
    new ReadingForm(
            form.at(),
            form.gauge(),
            form.temperature(),
            form.step(),
            high ? "true" : form.confirmed(),
            later ? "true" : form.later(),
            "")
        .read(problems, test, tests.now(test), test.id(), figures);
    return problems.none();
  }

  @PostMapping("/tests/{testId}/undo")
  Object undo(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String what,
      Figures figures,
      Principal principal,
      Model model) {
    if (what.isEmpty() && tests.lastIsOfAFile(testId)) {
      return PressureBench.back(tests.where(testId)) + "&undoing=true";
    }
    Added added = tests.undo(testId, what.equals("file"), principal.getName());
    return done(testId, added, figures, model);
  }

  @PostMapping("/tests/{testId}/readings/{block}/{index}/withdraw")
  Object withdraw(
      @PathVariable UUID testId,
      @PathVariable UUID block,
      @PathVariable int index,
      Figures figures,
      Principal principal,
      Model model) {
    return done(
        testId, tests.withdrawReading(testId, block, index, principal.getName()), figures, model);
  }

  @PostMapping("/tests/{testId}/readings/{block}/{index}/correct")
  Object correct(
      @PathVariable UUID testId,
      @PathVariable UUID block,
      @PathVariable int index,
      @ModelAttribute ReadingForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    if (form.at().isEmpty()) {
      problems.add("at", "problem.empty", "", words.say("expect.at"));
    }
    // whoever corrects does it afterwards: a time ahead of the clock is not asked back
    Optional<PressureService.Typed> reading =
        form.afterwards().read(problems, test, tests.now(test), identifiers.next(), figures);
    if (reading.isPresent()) {
      Added added =
          tests.correctReading(testId, block, index, reading.get().reading(), principal.getName());
      if (added == Added.YES || added == Added.GONE || added == Added.FINISHED) {
        return done(testId, added, figures, model);
      }
      refuse(problems, added);
    } else {
      model.addAttribute("mayCorrect", understood(form, test, figures, true, true));
    }
    model.addAttribute("correcting", block + "/" + index);
    model.addAttribute("corrected", form);
    model.addAttribute("correctionProblems", problems.sentences());
    return Pages.unprocessable(
        bench.page(test, ReadingForm.EMPTY, Map.of(), figures, model), model);
  }

  @PostMapping("/tests/{testId}/events/{event}/withdraw")
  Object withdrawEvent(
      @PathVariable UUID testId,
      @PathVariable UUID event,
      Figures figures,
      Principal principal,
      Model model) {
    return done(testId, tests.withdrawEvent(testId, event, principal.getName()), figures, model);
  }

  /** Back to the bench, or the reason why nothing was done. */
  private Object done(UUID testId, Added added, Figures figures, Model model) {
    if (added == Added.YES) {
      return PressureBench.back(tests.where(testId));
    }
    FieldProblems problems = new FieldProblems(words);
    refuse(problems, added);
    return Pages.unprocessable(
        bench.page(tests.require(testId), ReadingForm.EMPTY, problems.sentences(), figures, model),
        model);
  }

  /** Says first what will then be impossible; finishes once that was confirmed. */
  @PostMapping("/tests/{testId}/finish")
  Object finish(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "false") boolean sure,
      @ModelAttribute ReadingForm form,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    PressureTestView test = tests.require(testId);
    if (test.finishedAt().isPresent()) {
      return PressureBench.back(test);
    }
    if (sure) {
      tests.finish(testId);
      return PressureBench.back(test);
    }
    if (form.any()) {
      Optional<Object> refused =
          entered(testId, form, Optional.empty(), figures, principal, once, model);
      if (refused.isPresent()) {
        return refused.get();
      }
    }
    return PressureBench.back(test) + "&finishing=true";
  }

  @PostMapping("/tests/{testId}/reopen")
  Object reopen(@PathVariable UUID testId, Figures figures, Principal principal, Model model) {
    UUID job = tests.where(testId).jobId();
    if (signed.stream().anyMatch(s -> s.signed(job))) {
      FieldProblems problems = new FieldProblems(words);
      problems.add("form", "problem.signed");
      return Pages.unprocessable(
          bench.page(
              tests.require(testId), ReadingForm.EMPTY, problems.sentences(), figures, model),
          model);
    }
    tests.reopen(testId, principal.getName());
    return PressureBench.back(tests.require(testId));
  }

  @PostMapping("/tests/{testId}/discard")
  String discard(@PathVariable UUID testId, Principal principal) {
    tests.discard(testId, principal.getName());
    return PressureBench.back(tests.where(testId));
  }

  @PostMapping("/tests/{testId}/put-back")
  String putBack(@PathVariable UUID testId) {
    tests.putBack(testId);
    return PressureBench.back(tests.where(testId));
  }
}
