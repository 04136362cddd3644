package gotera.web.retest;

import gotera.retest.Circumstance;
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
    boolean falls = proofs.of(marked.jobId()).failed().contains(Circumstance.OVER_WEEKS);
    if (falls && jobs.require(marked.jobId()).closedAt().isPresent()) {
      jobs.reopen(marked.jobId());
    }
  }
}
