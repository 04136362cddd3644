package gotera.web.repair;

import gotera.repair.CraftCheck;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.Measures;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Checks of the craft at the joints of a job, and new parts compared with old ones. */
@Service
public class CraftService {
  private static final String CHECK = "craft";
  private static final String NEW_PART = "new-part";

  /** What can be said of a new part beside the old one. */
  static final List<String> COMPARED = List.of("fits", "does-not-fit");

  private final FindingService findings;

  CraftService(FindingService findings) {
    this.findings = findings;
  }

  /** The finding that says that a check was made at a joint. */
  Optional<UUID> done(UUID jobId, String joint, CraftCheck check) {
    return findings.of(jobId, CHECK).stream()
        .filter(f -> f.subject().equals(joint) && f.saw().equals(check.word()))
        .map(Finding::id)
        .findFirst();
  }

  void make(UUID jobId, String joint, CraftCheck check, String by) {
    if (done(jobId, joint, check).isEmpty()) {
      findings.write(jobId, New.of(CHECK, joint, check.word()), by);
    }
  }

  List<Finding> compared(UUID jobId, String joint) {
    return findings.of(jobId, NEW_PART).stream().filter(f -> f.subject().equals(joint)).toList();
  }

  void compare(UUID jobId, String joint, String saw, String note, String by) {
    findings.write(
        jobId, new New(NEW_PART, joint, saw, Measures.NONE, Set.of(), note, Optional.empty()), by);
  }

  /** The joints that something was checked at. */
  List<String> joints(UUID jobId) {
    return Stream.of(CHECK, NEW_PART)
        .flatMap(c -> findings.of(jobId, c).stream())
        .map(Finding::subject)
        .distinct()
        .toList();
  }
}
