package gotera.web.repair;

import gotera.repair.CraftCheck;
import gotera.said.CraftSaid;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Checks of the craft at the joints of a job, and new parts compared with old ones. */
@Service
public class CraftService {
  private final FindingService findings;

  CraftService(FindingService findings) {
    this.findings = findings;
  }

  /** The finding that says that a check was made at a joint. */
  Optional<UUID> done(UUID jobId, String joint, CraftCheck check) {
    return findings.of(jobId, CraftSaid.Made.class).stream()
        .filter(f -> f.said().joint().equals(joint) && f.said().check() == check)
        .map(Finding::id)
        .findFirst();
  }

  void make(UUID jobId, String joint, CraftCheck check, String by) {
    if (done(jobId, joint, check).isEmpty()) {
      findings.write(jobId, new CraftSaid.Made(joint, check), by);
    }
  }

  List<Finding<CraftSaid.Compared>> compared(UUID jobId, String joint) {
    return findings.of(jobId, CraftSaid.Compared.class).stream()
        .filter(f -> f.said().joint().equals(joint))
        .toList();
  }

  /** Whether a new part was held beside the old one last and did not fit. */
  boolean doesNotFit(UUID jobId, String joint) {
    return compared(jobId, joint).stream()
        .reduce((a, b) -> b)
        .filter(f -> !f.said().fits())
        .isPresent();
  }

  void compare(UUID jobId, CraftSaid.Compared compared, String note, String by) {
    findings.write(jobId, new New(compared, note), by);
  }

  /** The joints that something was checked at. */
  List<String> joints(UUID jobId) {
    return findings.of(jobId, CraftSaid.class).stream()
        .map(f -> f.said().joint())
        .distinct()
        .toList();
  }
}
