package gotera.web.circuit;

import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail about the leak sites. */
@Component
class FindReporter implements StepReporter {
  private final CircuitService circuits;
  private final Words words;

  FindReporter(CircuitService circuits, Words words) {
    this.circuits = circuits;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.FIND;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<LeakSite> sites = circuits.sites(jobId).stream().filter(s -> s.saw().looked()).toList();
    if (sites.isEmpty()) {
      return StepStatus.UNTOUCHED;
    }
    long wet = sites.stream().filter(LeakSite::wet).count();
    return new StepStatus(
        wet > 0 ? State.DONE : State.AGAIN, words.say("find.rail", wet, sites.size()));
  }
}
