package gotera.web.pressure.hold;

import gotera.pressure.trace.TraceEvent;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.Readings;
import gotera.web.pressure.RunningTest;
import gotera.web.pressure.Sealing;
import gotera.web.pressure.TypedReading;
import gotera.web.pressure.Where;
import gotera.web.pressure.Writers;
import gotera.web.pressure.trace.Contents;
import gotera.web.pressure.trace.Written;
import gotera.web.storage.Identifiers;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.security.Principal;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Readings and events of a test, how they are corrected and taken back, and its end. */
@Controller
class ReadingController {
  private final PressureService tests;
  private final Readings readings;
  private final Sealing sealing;
  private final PressureBench bench;
  private final Writers writers;
  private final Identifiers identifiers;
  private final Words words;

  ReadingController(
      PressureService tests,
      Readings readings,
      Sealing sealing,
      PressureBench bench,
      Writers writers,
      Identifiers identifiers,
      Words words) {
    this.tests = tests;
    this.readings = readings;
    this.sealing = sealing;
    this.bench = bench;
    this.writers = writers;
    this.identifiers = identifiers;
    this.words = words;
  }

  @PostMapping("/tests/{testId}/readings")
  Object reading(
      @PathVariable UUID testId,
      @ModelAttribute ReadingForm form,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    RunningTest test = readings.running(testId);
    return entered(test, form, Optional.empty(), figures, principal, once, model)
        .orElseGet(() -> PressureBench.back(test.where()));
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
    RunningTest running = readings.running(testId);
    Optional<Object> refused =
        entered(running, form, Optional.of(event), figures, principal, once, model);
    if (refused.isPresent()) {
      return refused.get();
    }
    Where test = running.where();
    if (event != TraceEvent.Kind.PLACE_SEEN) {
      return PressureBench.back(test);
    }
    // seen is enough: the pressure is let off and the test is over
    readings.add(
        testId, Optional.empty(), Optional.of(TraceEvent.Kind.RELEASED), principal.getName());
    sealing.finish(testId);
    once.addFlashAttribute("stopped", testId);
    return "redirect:/jobs/" + test.jobId() + "/find";
  }

  /**
   * Keeps the reading that stands in the form, if one does, and then what was done.
   *
   * @return the page that says what is wrong; empty where everything was kept
   */
  private Optional<Object> entered(
      RunningTest test,
      ReadingForm form,
      Optional<TraceEvent.Kind> event,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    UUID testId = test.where().id();
    FieldProblems problems = new FieldProblems(words);
    Optional<TypedReading> reading =
        event.isPresent() && !form.any()
            ? Optional.empty()
            : form.read(problems, test, identifiers.next(), figures);
    if (problems.none() && reading.isPresent()) {
      writers.alone(testId).ifPresent(w -> problems.add("form", "problem.gauge-writes", w.name()));
    }
    if (problems.none()) {
      Written added = readings.add(testId, reading, event, principal.getName());
      if (added == Written.DONE) {
        return Optional.empty();
      }
      if (added == Written.CLOCK_BACK) {
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

  private static void refuse(FieldProblems problems, Written added) {
    boolean time = added == Written.SAME_TIME || added == Written.TOO_FAR;
    problems.add(time ? "at" : "form", PressureBench.refusal(added));
  }

  /** Where one word of the user's would do, it is offered as one tap. */
  private void offer(
      ReadingForm form, RunningTest test, FieldProblems problems, Figures figures, Model model) {
    boolean high = problems.sentences().containsKey("gauge");
    boolean later = problems.sentences().containsKey("at");
    // one is asked after the other, and what was said already goes with the form
    if (understood(form, test, figures, high, later)) {
      model.addAttribute("mayConfirm", high);
      model.addAttribute("mayBeLater", later && !high);
    }
  }

  private boolean understood(
      ReadingForm form, RunningTest test, Figures figures, boolean high, boolean later) {
    FieldProblems problems = new FieldProblems(words);
    new ReadingForm(
            form.at(),
            form.gauge(),
            form.temperature(),
            form.step(),
            high ? "true" : form.confirmed(),
            later ? "true" : form.later(),
            "")
        .read(problems, test, test.where().id(), figures);
    return problems.none();
  }

  @PostMapping("/tests/{testId}/undo")
  Object undo(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String what,
      Figures figures,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    if (what.isEmpty() && readings.lastIsOfAFile(testId)) {
      return PressureBench.back(tests.where(testId)) + "&undoing=true";
    }
    Contents before = readings.contents(testId);
    Written added = readings.undo(testId, what.equals("file"), principal.getName());
    Undone.said(before, readings.contents(testId), figures, words)
        .ifPresent(u -> once.addFlashAttribute("notice", words.say("pressure.undone", u)));
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
        testId, readings.withdraw(testId, block, index, principal.getName()), figures, model);
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
    RunningTest running = test.running(tests.now(test)).alone();
    FieldProblems problems = new FieldProblems(words);
    if (form.at().isEmpty()) {
      problems.add("at", "problem.empty", "", words.say("expect.at"));
    }
    // whoever corrects does it afterwards: a time ahead of the clock is not asked back
    Optional<TypedReading> reading =
        form.afterwards().read(problems, running, identifiers.next(), figures);
    if (reading.isPresent()) {
      Written added =
          readings.correct(testId, block, index, reading.get().reading(), principal.getName());
      if (added == Written.DONE || added == Written.GONE || added == Written.FINISHED) {
        return done(testId, added, figures, model);
      }
      refuse(problems, added);
    } else {
      model.addAttribute("mayCorrect", understood(form, running, figures, true, true));
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
    return done(testId, readings.withdrawEvent(testId, event, principal.getName()), figures, model);
  }

  /** Back to the bench, or the reason why nothing was done. */
  private Object done(UUID testId, Written added, Figures figures, Model model) {
    if (added == Written.DONE) {
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
      sealing.finish(testId);
      return PressureBench.back(test);
    }
    if (form.any()) {
      Optional<Object> refused =
          entered(
              readings.running(testId), form, Optional.empty(), figures, principal, once, model);
      if (refused.isPresent()) {
        return refused.get();
      }
    }
    return PressureBench.back(test) + "&finishing=true";
  }
}
