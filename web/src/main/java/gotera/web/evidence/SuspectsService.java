package gotera.web.evidence;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.circuit.Circuit;
import gotera.evidence.Check;
import gotera.evidence.Diagnosis;
import gotera.evidence.Label;
import gotera.evidence.Posterior;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.evidence.SoFar.NextCheck;
import gotera.web.evidence.SoFar.SuspectShown;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says what may still leak, and what to do next. */
@Component
class SuspectsService {
  private static final int MOST_SHOWN = 4;
  private static final int MOST_KEPT = 200;

  private final CircuitService circuits;
  private final CircuitWords names;
  private final Cases cases;
  private final Words words;
  private final Cache<Case, Assessment> assessments =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  SuspectsService(CircuitService circuits, CircuitWords names, Cases cases, Words words) {
    this.circuits = circuits;
    this.names = names;
    this.cases = cases;
    this.words = words;
  }

  /** What is suspected on a job now. */
  Assessment assess(UUID jobId) {
    return assessments.get(cases.of(jobId), Assessment::of);
  }

  /** The suspects that are worth a line. */
  List<SuspectShown> suspects(UUID jobId) {
    return assess(jobId).worthALine().stream()
        .limit(MOST_SHOWN)
        .map(s -> shown(jobId, circuits.circuit(jobId), s))
        .toList();
  }

  /** Every place, the likeliest first; those that are suspected most with their reasons. */
  List<SuspectShown> all(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    Assessment assessment = assess(jobId);
    List<SuspectShown> all = new ArrayList<>();
    assessment.suspects().forEach(s -> all.add(shown(jobId, circuit, s)));
    if (!all.isEmpty()) {
      assessment.diagnosis().posterior().suspects().stream()
          .skip(all.size())
          .forEach(s -> all.add(shown(jobId, circuit, s)));
    }
    return all;
  }

  private SuspectShown shown(UUID jobId, Circuit circuit, Posterior.Suspect suspect) {
    return new SuspectShown(
        names.joint(circuit, suspect.place()),
        (int) Math.round(100 * suspect.probability()),
        "",
        address(jobId, suspect.place()));
  }

  /** The check that tells most, or the repair. */
  Optional<NextCheck> next(UUID jobId) {
    Assessment assessment = assess(jobId);
    if (assessment.repairComesNext()) {
      return Optional.of(
          new NextCheck(
              words.say("evidence.next.repair"),
              words.say("evidence.next.repair-tells"),
              "/jobs/" + jobId + "/repair"));
    }
    double open = assessment.diagnosis().posterior().entropy();
    return assessment.next().stream().findFirst().map(r -> next(jobId, r, open));
  }

  private SuspectShown shown(UUID jobId, Circuit circuit, Diagnosis.Suspect suspect) {
    String reasons =
        suspect.reasons().stream().map(this::reason).collect(Collectors.joining(" \u00b7 "));
    return new SuspectShown(
        names.joint(circuit, suspect.place()),
        (int) Math.round(100 * suspect.probability()),
        reasons.isEmpty() ? words.say("evidence.usual") : reasons,
        address(jobId, suspect.place()));
  }

  private String reason(Posterior.Reason reason) {
    String direction = reason.logRatio() > 0 ? "for" : "against";
    return words.say("evidence." + reason.finding().kind() + "." + direction);
  }

  private NextCheck next(UUID jobId, Check.Ranked ranked, double open) {
    Label label = ranked.check().label();
    boolean look = label.kind().equals(Diagnosis.LOOK);
    int share = open > 0 ? (int) Math.round(100 * ranked.bits() / open) : 0;
    return new NextCheck(
        look
            ? words.say("evidence.next.look", names.joint(jobId, label.at()))
            : words.say("evidence.next." + label.kind()),
        words.say("evidence.next.tells", Figures.plain(ranked.check().minutes()), share),
        look ? address(jobId, label.at()) : "/jobs/" + jobId + "/pressure-test");
  }

  private static String address(UUID jobId, String place) {
    boolean drawn = !place.startsWith("inside.") && !place.startsWith("elsewhere.");
    return drawn ? "/jobs/" + jobId + "/find?joint=" + place : "/jobs/" + jobId + "/find";
  }
}
