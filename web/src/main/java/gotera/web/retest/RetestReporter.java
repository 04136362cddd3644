package gotera.web.retest;

import gotera.retest.Circumstance;
import gotera.retest.CombinedProof;
import gotera.standing.Standing;
import gotera.web.job.StepReporter;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.hold.PressureReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Tells the rail about the re-test: done is not the newest test that was tight, but what stands of
 * the job.
 */
@Component
class RetestReporter implements StepReporter {
  /** What takes days: the job goes on meanwhile. */
  private static final Set<Circumstance> TAKES_DAYS =
      EnumSet.of(Circumstance.PARKED, Circumstance.OVER_WEEKS);

  private final PressureReporter newest;
  private final ProofService proofs;
  private final Words words;

  RetestReporter(PressureService tests, ProofService proofs, Words words) {
    this.newest = new PressureReporter(tests, words, Phase.RE_TEST);
    this.proofs = proofs;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.RE_TEST;
  }

  @Override
  public StepStatus status(UUID jobId) {
    StepStatus tested = newest.status(jobId);
    Standing standing = proofs.of(jobId);
    if (tested.state() == StepState.RUNNING) {
      return tested;
    }
    if (!standing.again().isEmpty()) {
      return new StepStatus(StepState.AGAIN, words.say("retest.rail-again"));
    }
    CombinedProof proof = standing.proof();
    if (tested.state() != StepState.DONE || proof.open().isEmpty()) {
      return tested;
    }
    boolean now = proof.open().stream().anyMatch(l -> !TAKES_DAYS.contains(l.shown().when()));
    return new StepStatus(
        now ? StepState.AGAIN : StepState.DONE,
        words.say(
            "retest.rail-open", proof.lines().size() - proof.open().size(), proof.lines().size()));
  }
}
