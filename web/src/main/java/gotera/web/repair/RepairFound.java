package gotera.web.repair;

import gotera.repair.StripList.TakenOff;
import gotera.web.circuit.CircuitWords;
import gotera.web.job.FoundBesides;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Fasteners that are missing or left over, and new parts that do not fit. */
@Component
class RepairFound implements FoundBesides {
  private final StripService strips;
  private final StripWords says;
  private final CraftService craft;
  private final CircuitWords names;
  private final Words words;

  RepairFound(
      StripService strips, StripWords says, CraftService craft, CircuitWords names, Words words) {
    this.strips = strips;
    this.says = says;
    this.craft = craft;
    this.names = names;
    this.words = words;
  }

  @Override
  public List<String> found(UUID jobId) {
    Stream<String> counted =
        strips.list(jobId).open().stream().filter(TakenOff::refitted).map(says::open);
    Stream<String> compared =
        craft.joints(jobId).stream()
            .filter(j -> craft.doesNotFit(jobId, j))
            .map(j -> words.say("report.does-not-fit", names.joint(jobId, j)));
    return Stream.concat(counted, compared).toList();
  }
}
