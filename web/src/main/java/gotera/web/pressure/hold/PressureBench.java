package gotera.web.pressure.hold;

import gotera.web.figures.Figures;
import gotera.web.job.JobPlace;
import gotera.web.pressure.Broken;
import gotera.web.pressure.Catches;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.Readings;
import gotera.web.pressure.Sealing;
import gotera.web.pressure.Where;
import gotera.web.pressure.Writers;
import gotera.web.pressure.compliance.DrawForm;
import gotera.web.pressure.compliance.StrokeForm;
import gotera.web.pressure.trace.Written;
import gotera.web.words.Words;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together the bench of a test: its page with the forms on it. */
@Component
public class PressureBench {
  /** Attribute that says from when on the readings are listed (s). */
  public static final String FROM = "listedFrom";

  private final PressureService tests;
  private final Readings readings;
  private final Sealing sealing;
  private final Catches catches;
  private final PressurePages pages;
  private final Rows rows;
  private final Writers writers;
  private final Words words;

  public PressureBench(
      PressureService tests,
      Readings readings,
      Sealing sealing,
      Catches catches,
      PressurePages pages,
      Rows rows,
      Writers writers,
      Words words) {
    this.writers = writers;
    this.tests = tests;
    this.readings = readings;
    this.sealing = sealing;
    this.catches = catches;
    this.pages = pages;
    this.rows = rows;
    this.words = words;
  }

  /** Another test of the same phase. */
  record Other(String id, String title, String verdict, boolean shown) {}

  /** A test that stands apart: it cannot be read, or was put aside. */
  record Apart(String id, String title, String why) {}

  /** The tests of the same phase, where there are several. */
  private List<Other> others(PressureTestView test, Figures figures) {
    List<Other> all =
        tests.all(test.jobId()).stream()
            .filter(t -> t.phase() == test.phase())
            .map(
                t ->
                    new Other(
                        t.id().toString(),
                        words.say("pressure." + t.phase().word() + ".title", t.number()),
                        t.finishedAt().isEmpty()
                            ? words.say("state.running")
                            : words.say("verdict." + t.result().verdict().word() + ".short"),
                        t.id().equals(test.id())))
            .toList();
    return all.size() > 1 ? all : List.of();
  }

  /** The tests of a phase that stand apart, each with its way back in its place. */
  public void apart(UUID jobId, Phase phase, Model model) {
    model.addAttribute("broken", apart(tests.broken(jobId), phase));
    model.addAttribute("aside", apart(tests.discarded(jobId), phase));
  }

  private List<Apart> apart(List<Broken> all, Phase phase) {
    return all.stream()
        .filter(b -> b.phase() == phase)
        .map(
            b ->
                new Apart(
                    b.id().toString(),
                    words.say("pressure." + b.phase().word() + ".title", b.number()),
                    b.why()))
        .toList();
  }

  /** The bench, with the reading as it was typed and what was wrong with any of the forms. */
  public String page(
      PressureTestView test,
      ReadingForm form,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    model.addAttribute("place", new JobPlace(test.jobId(), test.phase().step(), figures));
    model.addAttribute(
        "test", pages.page(test, readings.contents(test), from(model), tests.now(test), figures));
    model.addAttribute("others", others(test, figures));
    apart(test.jobId(), test.phase(), model);
    model.addAttribute(
        "writer", test.finishedAt().isPresent() ? null : writers.at(test.id()).orElse(null));
    model.addAttribute("sealBroken", test.finishedAt().isPresent() && !sealing.heldLately(test));
    model.addAttribute("reading", form);
    model.addAttribute("problems", problems);
    fresh(model, "draw", DrawForm.next(test, figures));
    fresh(model, "strokes", StrokeForm.next(test));
    fresh(model, "window", WindowForm.of(test));
    fresh(model, "caughtForm", CaughtForm.EMPTY);
    model.addAttribute("caught", rows.catches(catches.of(test), figures));
    return "pressure/bench";
  }

  /** From when on the readings are listed (s since the valve was shut); empty for the last ones. */
  private static OptionalDouble from(Model model) {
    return model.getAttribute(FROM) instanceof Double seconds
        ? OptionalDouble.of(seconds)
        : OptionalDouble.empty();
  }

  /** A form as it was refused stays; else as it begins. */
  private static void fresh(Model model, String name, Record form) {
    if (!model.containsAttribute(name)) {
      model.addAttribute(name, form);
    }
  }

  /** Why something was not added to a test. */
  static String refusal(Written added) {
    return switch (added) {
      case SAME_TIME -> "problem.same-time";
      case TOO_FAR -> "problem.too-far";
      case ANOTHER_TEST -> "problem.another-test";
      case GONE -> "problem.gone";
      case NOT_EMPTY -> "problem.not-empty";
      case FINISHED, DONE, CLOCK_BACK -> "problem.finished";
    };
  }

  /** Where the bench of a test is. */
  public static String back(PressureTestView test) {
    return back(new Where(test.id(), test.jobId(), test.phase()));
  }

  /** Where the bench of a test is, whether it can be read or not. */
  public static String back(Where test) {
    return "redirect:/jobs/"
        + test.jobId()
        + "/"
        + test.phase().step().word()
        + "?test="
        + test.id();
  }
}
