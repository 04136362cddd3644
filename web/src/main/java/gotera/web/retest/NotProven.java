package gotera.web.retest;

import gotera.retest.Circumstance;
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
    if (how != Ending.PROVEN) {
      return List.of();
    }
    Standing standing = proofs.of(jobId);
    return Stream.concat(
            standing.again().stream().map(a -> words.say("proof.failed", said(jobId, a))),
            standing.proof().open().stream().map(l -> said(l.shown().when())))
        .toList();
  }

  @Override
  public Optional<String> by(UUID jobId) {
    return proofs.of(jobId).newest().map(a -> said(jobId, a));
  }

  private String said(Circumstance when) {
    return words.say("proof.not-repeated", words.say("circumstance." + when.word()));
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
