package gotera.web.pressure.hold;

import gotera.pressure.Decider;
import gotera.uncertainty.DecisionLimits;
import gotera.web.figures.Figures;
import gotera.web.pressure.ByProducts;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.words.Words;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What would decide a test that is not decided, in words. */
@Component
class Undecided {
  private final ByProducts byProducts;
  private final VerdictWords verdicts;
  private final Words words;

  Undecided(ByProducts byProducts, VerdictWords verdicts, Words words) {
    this.byProducts = byProducts;
    this.verdicts = verdicts;
    this.words = words;
  }

  /** What would decide the test, the fewest answers first. */
  List<PressurePage.DeciderShown> deciders(PressureTestView test, Figures figures) {
    return byProducts.deciders(test).stream().map(d -> decider(d, test, figures)).toList();
  }

  private PressurePage.DeciderShown decider(
      Decider decider, PressureTestView test, Figures figures) {
    List<String> asked =
        decider.answers().stream().map(a -> words.say("decider." + a.word())).toList();
    VerdictWords.Said then =
        verdicts.say(
            decider.result(),
            test.conditions().rated().kilopascals(),
            test.conditions().acceptance().limit(),
            figures);
    boolean tap =
        decider.answers().size() == 1
            && decider.answers().contains(Decider.Answer.OVERNIGHT)
            && test.finishedAt().isEmpty();
    return new PressurePage.DeciderShown(
        String.join(words.say("decider.and"), asked),
        words.say("decider.then", then.headline()),
        tap ? Decider.Answer.OVERNIGHT.word() : "");
  }

  /** What this version of the computation would say, where an earlier one said otherwise. */
  Optional<String> otherwise(PressureTestView test, Figures figures) {
    return byProducts
        .present(test)
        .map(
            now ->
                words.say(
                    "pressure.earlier-version",
                    test.result().estimator(),
                    now.estimator(),
                    verdicts
                        .say(
                            now,
                            test.conditions().rated().kilopascals(),
                            test.conditions().acceptance().limit(),
                            figures)
                        .headline()));
  }

  /** What would have proven it. */
  List<String> remedies(PressureTestView test, Figures figures) {
    return byProducts.remedies(test).stream()
        .map(
            r ->
                words.say(
                    "remedy." + r.kind().word(),
                    switch (r.kind()) {
                      case MINUTES, AGAIN -> Figures.plain(Math.ceil(r.figure()));
                      case AIR -> figures.volume(r.figure());
                      case GAUGE -> figures.step(r.figure());
                      case TEMPERATURE -> Figures.twoDigits(DecisionLimits.halfWidth(r.figure()));
                    }))
        .toList();
  }
}
