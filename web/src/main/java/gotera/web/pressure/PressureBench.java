package gotera.web.pressure;

import gotera.web.job.JobPlace;
import gotera.web.shell.Figures;
import gotera.web.shell.Identifiers;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together the bench of a test: its page with the forms on it. */
@Component
class PressureBench {
  private final PressureService tests;
  private final PressurePages pages;
  private final Identifiers identifiers;

  PressureBench(PressureService tests, PressurePages pages, Identifiers identifiers) {
    this.tests = tests;
    this.pages = pages;
    this.identifiers = identifiers;
  }

  /** The bench, with the reading as it was typed and what was wrong with any of the forms. */
  String page(
      PressureTestView test,
      ReadingForm form,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    model.addAttribute("place", new JobPlace(test.jobId(), test.phase().step(), figures));
    model.addAttribute("test", pages.page(test, tests.now(test), figures));
    model.addAttribute("reading", form);
    // what is sent twice under one identifier is kept once
    model.addAttribute(
        "entry", form.entry().map(Object::toString).orElse(identifiers.next().toString()));
    model.addAttribute("problems", problems);
    fresh(model, "draw", DrawForm.next(test, figures));
    fresh(model, "strokes", StrokeForm.next(test));
    fresh(model, "window", WindowForm.of(test));
    fresh(model, "caughtForm", CaughtForm.EMPTY);
    model.addAttribute("caught", pages.caught(tests.caught(test.id()), test));
    return "pressure/bench";
  }

  /** A form as it was refused stays; else as it begins. */
  private static void fresh(Model model, String name, Record form) {
    if (!model.containsAttribute(name)) {
      model.addAttribute(name, form);
    }
  }

  /** Where the bench of a test is. */
  static String back(PressureTestView test) {
    return "redirect:/jobs/" + test.jobId() + "/" + test.phase().step().word();
  }
}
