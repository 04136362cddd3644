package gotera.web.retest;

import gotera.standing.LeaksAgain;
import gotera.web.job.JobService;
import gotera.web.level.LevelMarked;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** A level that falls after the repair opens a closed job again by itself. */
@Component
class FallingLevel {
  private final ProofService proofs;
  private final JobService jobs;

  FallingLevel(ProofService proofs, JobService jobs) {
    this.proofs = proofs;
    this.jobs = jobs;
  }

  @EventListener
  void on(LevelMarked marked) {
    boolean falls =
        proofs.of(marked.jobId()).again().stream().anyMatch(a -> a.by() == LeaksAgain.By.LEVEL);
    if (falls && jobs.require(marked.jobId()).closedAt().isPresent()) {
      jobs.reopen(marked.jobId());
    }
  }
}
