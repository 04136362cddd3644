package gotera.web.retest;

import gotera.retest.CombinedProof;
import gotera.web.job.InTheWay;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A leak that showed again after the repair stands in the way of proven. */
@Component
class StillLeaks implements InTheWay {
  private final ProofService proofs;
  private final Words words;

  StillLeaks(ProofService proofs, Words words) {
    this.proofs = proofs;
    this.words = words;
  }

  @Override
  public List<String> of(UUID jobId) {
    CombinedProof proof = proofs.of(jobId);
    return proof.failed().stream()
        .map(c -> words.say("proof.failed", words.say("circumstance." + c.word())))
        .toList();
  }
}
