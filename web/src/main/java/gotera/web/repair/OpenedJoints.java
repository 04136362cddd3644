package gotera.web.repair;

import gotera.web.circuit.CircuitService;
import gotera.web.fill.FillService;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The joints that were opened in a job: each is a place to look at under pressure. */
@Service
public class OpenedJoints {
  private final StripService strips;
  private final CraftService craft;
  private final RepairService repairs;
  private final FillService fills;
  private final CircuitService circuits;

  OpenedJoints(
      StripService strips,
      CraftService craft,
      RepairService repairs,
      FillService fills,
      CircuitService circuits) {
    this.fills = fills;
    this.strips = strips;
    this.craft = craft;
    this.repairs = repairs;
    this.circuits = circuits;
  }

  /** Their words, in the order in which they were opened. */
  public List<String> of(UUID jobId) {
    Set<String> codes = new LinkedHashSet<>();
    strips.lines(jobId).forEach(l -> codes.add(l.off().joint()));
    fills.drained(jobId).forEach(d -> codes.add(d.at()));
    codes.addAll(craft.joints(jobId));
    repairs.notes(jobId).forEach(n -> codes.add(n.joint()));
    return codes.stream().filter(c -> circuits.circuit(jobId).joint(c).isPresent()).toList();
  }
}
