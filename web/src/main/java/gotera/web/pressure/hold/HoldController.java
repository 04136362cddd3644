package gotera.web.pressure.hold;

import gotera.pressure.Decider;
import gotera.pressure.HoldConditions.Window;
import gotera.pressure.compliance.Draw;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.CountedStrokes;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.TraceEvent;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.pressure.Catches;
import gotera.web.pressure.Caught;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.Readings;
import gotera.web.pressure.compliance.DrawForm;
import gotera.web.pressure.compliance.StrokeForm;
import gotera.web.pressure.trace.Added;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * What belongs to a hold beside its readings: draws, strokes, the window, what was caught. Each is
 * added behind what is there, so two people doing it lose nothing.
 */
@Controller
class HoldController {
  private final PressureService tests;
  private final Readings readings;
  private final Catches catches;
  private final PressureBench bench;
  private final Words words;

  HoldController(
      PressureService tests, Readings readings, Catches catches, PressureBench bench, Words words) {
    this.tests = tests;
    this.readings = readings;
    this.catches = catches;
    this.bench = bench;
    this.words = words;
  }

  @PostMapping("/tests/{testId}/draws")
  Object draw(
      @PathVariable UUID testId,
      @ModelAttribute DrawForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<Draw> draw = form.read(problems, test, figures);
    if (draw.isPresent()) {
      Added added =
          tests.edit(testId, h -> form.closing() ? closing(h, draw) : measuring(h, draw.get()));
      if (added == Added.YES) {
        mark(test, draw.get(), principal);
        return PressureBench.back(test);
      }
      problems.add("form", "problem.finished");
    }
    model.addAttribute("draw", form);
    return refused(test, problems, figures, model);
  }

  @PostMapping("/tests/{testId}/draws/undo")
  Object undoDraw(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String drawKind,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    boolean closing = drawKind.equals("closing");
    Added added =
        tests.edit(
            testId,
            h ->
                closing
                    ? closing(h, Optional.empty())
                    : h.with(h.compliance().withDraws(withoutLast(h.compliance().draws()))));
    return done(test, added, figures, model);
  }

  @PostMapping("/tests/{testId}/strokes")
  Object strokes(
      @PathVariable UUID testId, @ModelAttribute StrokeForm form, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<StrokeForm.Count> count = form.read(problems, test, figures);
    if (count.isPresent()) {
      if (tests.edit(testId, count.get()::in) == Added.YES) {
        return PressureBench.back(test);
      }
      problems.add("form", "problem.finished");
    }
    model.addAttribute("strokes", form);
    return refused(test, problems, figures, model);
  }

  @PostMapping("/tests/{testId}/strokes/undo")
  Object undoStrokes(@PathVariable UUID testId, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    return done(test, tests.edit(testId, HoldController::withoutLastCount), figures, model);
  }

  private static HoldSetup withoutLastCount(HoldSetup h) {
    return h.with(
        h.compliance()
            .withStrokes(
                h.compliance()
                    .strokes()
                    .filter(s -> s.readings().size() > 1)
                    .map(
                        s ->
                            new CountedStrokes(
                                s.strokeMl(), s.startKpa(), withoutLast(s.readings())))));
  }

  /** One tap that answers what would decide the test. */
  @PostMapping("/tests/{testId}/answers")
  Object answer(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String answer,
      Figures figures,
      Model model) {
    PressureTestView test = tests.require(testId);
    if (!answer.equals(Decider.Answer.OVERNIGHT.word())) {
      throw new NotFound("answer " + answer);
    }
    Added added =
        tests.edit(testId, h -> h.with(h.surroundings().stood(Optional.of(new Soak.Overnight()))));
    return done(test, added, figures, model);
  }

  private Object done(PressureTestView test, Added added, Figures figures, Model model) {
    if (added == Added.YES) {
      return PressureBench.back(test);
    }
    FieldProblems problems = new FieldProblems(words);
    problems.add("form", added == Added.GONE ? "problem.gone" : "problem.finished");
    return refused(test, problems, figures, model);
  }

  @PostMapping("/tests/{testId}/window")
  Object window(
      @PathVariable UUID testId, @ModelAttribute WindowForm form, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<Window> window = form.read(problems, test);
    if (problems.none()) {
      Added added = tests.edit(testId, h -> h.with(h.course().within(window)));
      if (added == Added.YES) {
        return PressureBench.back(test);
      }
      problems.add("form", "problem.finished");
    }
    model.addAttribute("window", form);
    return refused(test, problems, figures, model);
  }

  @PostMapping("/tests/{testId}/caught")
  Object caught(
      @PathVariable UUID testId,
      @ModelAttribute CaughtForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    Optional<Caught> caught = form.read(problems);
    if (caught.isPresent()) {
      if (catches.keep(testId, caught.get(), principal.getName()) == Added.YES) {
        return PressureBench.back(test);
      }
      problems.add("form", "problem.finished");
    }
    model.addAttribute("caughtForm", form);
    return refused(test, problems, figures, model);
  }

  @PostMapping("/tests/{testId}/caught/{id}/withdraw")
  Object withdrawCaught(
      @PathVariable UUID testId,
      @PathVariable UUID id,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    return done(test, catches.withdraw(testId, id, principal.getName()), figures, model);
  }

  /** While the curve is read live, a draw ends the hold on it. */
  private void mark(PressureTestView test, Draw draw, Principal principal) {
    int n = test.trace().size();
    double now = tests.now(test);
    if (draw.millilitresOut() > 0
        && test.holding()
        && n > 0
        && now >= test.trace().seconds(n - 1)) {
      readings.addEvent(
          test.id(),
          new TraceEvent(now, TraceEvent.Kind.DRAW, OptionalDouble.of(draw.millilitresOut())),
          principal.getName());
    }
  }

  private Object refused(
      PressureTestView test, FieldProblems problems, Figures figures, Model model) {
    return Pages.unprocessable(
        bench.page(
            tests.require(test.id()), ReadingForm.EMPTY, problems.sentences(), figures, model),
        model);
  }

  private static HoldSetup closing(HoldSetup h, Optional<Draw> draw) {
    return h.with(h.course().closed(draw));
  }

  private static HoldSetup measuring(HoldSetup h, Draw draw) {
    List<Draw> draws = new ArrayList<>(h.compliance().draws());
    draws.add(draw);
    return h.with(h.compliance().withDraws(draws));
  }

  private static <T> List<T> withoutLast(List<T> all) {
    return all.isEmpty() ? all : all.subList(0, all.size() - 1);
  }
}
