package gotera.web.fill;

import gotera.range.Range;
import gotera.refill.FillAccount;
import gotera.refill.FillAccount.Moment;
import gotera.refill.Mix;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Says how a strength is reached by draining and pouring. */
@Component
class Restoring {
  private static final double HUNDRED = 100;

  private final FillService fills;
  private final Words words;

  Restoring(FillService fills, Words words) {
    this.fills = fills;
    this.words = words;
  }

  /** What to drain and pour in, where a strength is asked for. */
  void restore(UUID id, FillForm form, FieldProblems problems, Figures figures, Model model) {
    Optional<FillAccount> account = fills.account(id);
    if (form.wanted().isEmpty() || account.isEmpty()) {
      return;
    }
    OptionalDouble wanted = problems.number("wanted", form.wanted(), Range.WANTED_PERCENT);
    OptionalDouble with =
        form.with().isEmpty()
            ? OptionalDouble.of(HUNDRED)
            : problems.number("with", form.with(), Range.POURED_PERCENT);
    OptionalDouble rest =
        form.undrained().isEmpty()
            ? OptionalDouble.of(0)
            : problems.millilitres(
                "undrained",
                form.undrained(),
                figures.units().volume().millilitres(),
                Range.TOP_UP);
    if (rest.isPresent() && rest.getAsDouble() > account.get().full()) {
      problems.add("undrained", "problem.more-than-full", figures.volume(account.get().full()));
    }
    if (!problems.none()) {
      return;
    }
    restored(
        account.get(),
        wanted.getAsDouble() / HUNDRED,
        with.getAsDouble() / HUNDRED,
        rest.getAsDouble(),
        figures,
        model);
  }

  /**
   * Says how a strength is reached: {@code target} and {@code with} as fractions, {@code rest}
   * (mL).
   */
  private void restored(
      FillAccount account, double target, double with, double rest, Figures figures, Model model) {
    Moment now = account.now();
    double full = account.full();
    // what is missing is filled up first, with the same
    Mix.Restore restore = Mix.restore(full, now.strength(), target, with, rest);
    model.addAttribute(
        "restore",
        restore.drain().isPresent()
            ? restore.drain().get() > 0
                ? words.say(
                    "fill.restore",
                    figures.volume(restore.drain().get()),
                    Figures.plain(with * HUNDRED),
                    Figures.plain(target * HUNDRED))
                : words.say("fill.strong-enough", Figures.fixed(now.strength() * HUNDRED, 0))
            : words.say("fill.cannot", Figures.fixed(Math.floor(restore.highest() * HUNDRED), 0)));
    Mix.fullDrain(full, rest, now.strength(), target)
        .ifPresent(
            f ->
                model.addAttribute(
                    "fullDrain",
                    words.say(
                        "fill.full-drain",
                        figures.volume(f.concentrate()),
                        figures.volume(f.water()))));
  }
}
