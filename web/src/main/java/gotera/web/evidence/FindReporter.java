package gotera.web.evidence;

import gotera.suspects.Case;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.LeakSite;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail how far finding is: with the places that count now, as the panel lists them. */
@Component
class FindReporter implements StepReporter {
  private final CircuitService circuits;
  private final Cases cases;
  private final Words words;

  FindReporter(CircuitService circuits, Cases cases, Words words) {
    this.circuits = circuits;
    this.cases = cases;
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
    Case known = cases.of(jobId);
    long looked = known.latest().stream().filter(l -> l.saw().looked()).count();
    int wet = known.wet().size();
    long before = known.foundBefore();
    return new StepStatus(
        wet + before > 0 ? StepState.DONE : StepState.AGAIN,
        before > 0
            ? words.say("find.rail-repaired", wet, looked, before)
            : words.say("find.rail", wet, looked));
  }
}
