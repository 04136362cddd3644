package gotera.web.retest;

import gotera.retest.Circumstance;
import gotera.retest.CombinedProof;
import gotera.web.job.InTheWay;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What stands in the way of proven: a leak that showed again after the repair, and each
 * circumstance in which it showed and that was not repeated.
 */
@Component
class NotProven implements InTheWay {
  private final ProofService proofs;
  private final Words words;

  NotProven(ProofService proofs, Words words) {
    this.proofs = proofs;
    this.words = words;
  }

  @Override
  public List<String> of(UUID jobId) {
    CombinedProof proof = proofs.of(jobId);
    return Stream.concat(
            proof.failed().stream().map(c -> said("proof.failed", c)),
            proof.open().stream().map(l -> said("proof.not-repeated", l.shown().when())))
        .toList();
  }

  private String said(String key, Circumstance when) {
    return words.say(key, words.say("circumstance." + when.word()));
  }
}
