package gotera.web.pressure.hold;

import gotera.pressure.Decider;
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
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.Readings;
import gotera.web.pressure.compliance.DrawForm;
import gotera.web.pressure.compliance.StrokeForm;
import gotera.web.pressure.trace.Written;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
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

  /**
   * A form as it was sent.
   *
   * @param name its name on the page
   * @param form it as it was typed
   * @param read understands it, or says at its fields what is wrong
   */
  private record Sent<T>(String name, Record form, Function<FieldProblems, Optional<T>> read) {}

  /** Keeps what was sent once it is understood, or shows it again with what is wrong. */
  private <T> Object keep(
      PressureTestView test,
      Sent<T> sent,
      Function<T, Written> keeping,
      Figures figures,
      Model model) {
    FieldProblems problems = new FieldProblems(words);
    Optional<T> read = sent.read().apply(problems);
    if (read.isPresent() && problems.none()) {
      Written added = keeping.apply(read.get());
      if (added == Written.DONE) {
        return PressureBench.back(test);
      }
      problems.add("form", PressureBench.refusal(added));
    }
    model.addAttribute(sent.name(), sent.form());
    return refused(test, problems, figures, model);
  }

  private Written drawn(PressureTestView test, Draw draw, boolean closing, Principal principal) {
    Written added =
        tests.edit(test.id(), h -> closing ? closing(h, Optional.of(draw)) : measuring(h, draw));
    if (added == Written.DONE) {
      mark(test, draw, principal);
    }
    return added;
  }

  @PostMapping("/tests/{testId}/draws")
  Object draw(
      @PathVariable UUID testId,
      @ModelAttribute DrawForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    return keep(
        test,
        new Sent<>("draw", form, problems -> form.read(problems, test, figures)),
        draw -> drawn(test, draw, form.closing(), principal),
        figures,
        model);
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
    Written added =
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
    return keep(
        test,
        new Sent<>("strokes", form, problems -> form.read(problems, test, figures)),
        count -> tests.edit(testId, count::in),
        figures,
        model);
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
    Written added =
        tests.edit(testId, h -> h.with(h.surroundings().stood(Optional.of(new Soak.Overnight()))));
    return done(test, added, figures, model);
  }

  private Object done(PressureTestView test, Written added, Figures figures, Model model) {
    if (added == Written.DONE) {
      return PressureBench.back(test);
    }
    FieldProblems problems = new FieldProblems(words);
    problems.add("form", PressureBench.refusal(added));
    return refused(test, problems, figures, model);
  }

  @PostMapping("/tests/{testId}/window")
  Object window(
      @PathVariable UUID testId, @ModelAttribute WindowForm form, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    return keep(
        test,
        // none at all is understood too: then the whole hold is used
        new Sent<>("window", form, problems -> Optional.of(form.read(problems, test))),
        window -> tests.edit(testId, h -> h.with(h.course().within(window))),
        figures,
        model);
  }

  @PostMapping("/tests/{testId}/caught")
  Object caught(
      @PathVariable UUID testId,
      @ModelAttribute CaughtForm form,
      Figures figures,
      Principal principal,
      Model model) {
    PressureTestView test = tests.require(testId);
    return keep(
        test,
        new Sent<>("caughtForm", form, form::read),
        caught -> catches.keep(testId, caught, principal.getName()),
        figures,
        model);
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
