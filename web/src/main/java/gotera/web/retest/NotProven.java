package gotera.web.retest;

import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.retest.CombinedProof;
import gotera.retest.Repeat;
import gotera.standing.LeaksAgain;
import gotera.standing.Standing;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Figures;
import gotera.web.job.Ending;
import gotera.web.job.InTheWay;
import gotera.web.job.TakenBack;
import gotera.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What stands in the way of proven: a leak that showed again after the repair, and each
 * circumstance in which it showed and that was not repeated.
 */
@Component
class NotProven implements InTheWay, TakenBack {
  private final ProofService proofs;
  private final CircuitWords places;
  private final Words words;

  NotProven(ProofService proofs, CircuitWords places, Words words) {
    this.proofs = proofs;
    this.places = places;
    this.words = words;
  }

  @Override
  public List<String> of(UUID jobId, Ending how) {
    if (how != Ending.PROVEN && how != Ending.NO_LEAK) {
      return List.of();
    }
    Standing standing = proofs.of(jobId);
    return Stream.concat(
            standing.again().stream().map(a -> words.say("proof.failed", said(jobId, a))),
            how == Ending.PROVEN ? notRepeated(standing) : notWithoutLeak(jobId, standing))
        .toList();
  }

  @Override
  public Optional<String> by(UUID jobId) {
    return proofs.of(jobId).newest().map(a -> said(jobId, a));
  }

  @Override
  public List<String> twice(UUID jobId) {
    return proofs.twice(jobId).stream()
        .map(
            t ->
                words.say(
                    "again.twice", places.joint(jobId, t.place()), Figures.moment(t.repaired())))
        .toList();
  }

  private Stream<String> notRepeated(Standing standing) {
    return standing.proof().lines().isEmpty()
        ? Stream.of(words.say("proof.nothing-to-prove"))
        : standing.proof().open().stream().map(this::open);
  }

  /** Without a leak ends what was tested tight, and where none ever showed. */
  private Stream<String> notWithoutLeak(UUID jobId, Standing standing) {
    List<String> shown =
        standing.proof().lines().stream()
            .map(l -> words.say("circumstance." + l.shown().when().word()))
            .toList();
    if (!shown.isEmpty() && !standing.isProven()) {
      return Stream.of(words.say("proof.it-showed", String.join(", ", shown)));
    }
    return proofs.isTestedTight(jobId) ? Stream.of() : Stream.of(words.say("proof.no-tight-test"));
  }

  private String open(CombinedProof.Shows line) {
    String when = words.say("circumstance." + line.shown().when().word());
    return line.nearest()
        .map(n -> words.say("proof.not-enough", when, by(n), missing(n, line)))
        .orElseGet(() -> words.say("proof.not-repeated", when));
  }

  /** What a repeat shows. */
  String by(Repeat repeat) {
    if (repeat instanceof Repeat.DryRun run) {
      return words.say(
          "proof.by.dry-run", Figures.plain(run.minutes()), Figures.bound(run.bound().orElse(0)));
    }
    if (repeat instanceof Repeat.Marks marks) {
      return words.say(
          "proof.by.marks",
          Figures.plain(Math.floor(marks.days())),
          Figures.bound(marks.bound().orElse(0)));
    }
    return repeat instanceof Repeat.Hold hold
        ? words.say("proof.by.hold", Figures.bound(hold.rate()))
        : words.say("proof.by.drive");
  }

  /** What a repeat lacks that is not enough. */
  private String missing(Repeat nearest, CombinedProof.Shows line) {
    double closes = Purpose.SIGN_OFF.usual();
    if (nearest instanceof Repeat.DryRun) {
      return words.say("proof.missing.minutes", Figures.plain(Math.ceil(line.minutes().orElse(0))));
    }
    return nearest instanceof Repeat.Hold hold && hold.rate() <= closes
        ? words.say(
            "proof.missing.pressure", Figures.USUAL.pressure(line.shown().gauge().orElse(0)))
        : words.say("proof.missing.rate", Figures.plain(closes));
  }

  /** What shows it: where, how, under which circumstance, when. */
  String said(UUID jobId, LeaksAgain again) {
    String place =
        switch (again.by()) {
          case DRIPS -> words.say("drip-spot." + again.place());
          default -> again.place().isEmpty() ? "" : places.joint(jobId, again.place());
        };
    return words.say(
        "again." + again.by().word() + (place.isEmpty() ? "" : "-at"),
        words.say("circumstance." + again.when().word()),
        Figures.moment(again.at()),
        place);
  }
}
