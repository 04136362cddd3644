package gotera.web.look;

import gotera.web.circuit.CircuitService;
import gotera.web.circuit.LeakSite;
import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import gotera.web.shell.Words;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail how far the walk-round is. */
@Component
class LookReporter implements StepReporter {
  private final CircuitService circuits;
  private final Words words;

  LookReporter(CircuitService circuits, Words words) {
    this.circuits = circuits;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.LOOK_OVER;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<LeakSite> sites = circuits.sites(jobId);
    if (sites.isEmpty()) {
      return StepStatus.UNTOUCHED;
    }
    WalkRound round = WalkRound.of(circuits.circuit(jobId), sites);
    return new StepStatus(
        round.open() > 0 ? State.PARTLY : State.DONE, words.say("look.rail", round.open()));
  }
}
