package gotera.web.evidence;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.balance.LeakBalance;
import gotera.circuit.Circuit;
import gotera.evidence.Check;
import gotera.evidence.Diagnosis;
import gotera.evidence.PlaceFacts;
import gotera.evidence.Posterior;
import gotera.formats.Vocabulary;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.evidence.SoFar.NextCheck;
import gotera.web.evidence.SoFar.SuspectShown;
import gotera.web.pressure.PressureTestView;
import gotera.web.shell.Figures;
import gotera.web.shell.Words;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Ranks what may still leak, from what was looked at, measured and told. */
@Component
class SuspectsService {
  /** Below this a place is not worth a line (our judgement, untested). */
  private static final double SHOWN_FROM = 0.04;

  private static final int MOST_SHOWN = 4;
  private static final int MOST_KEPT = 200;

  private final CircuitService circuits;
  private final CircuitWords names;
  private final FoundSoFar found;
  private final Words words;
  private final Vocabulary vocabulary = Vocabulary.published();
  private final Cache<Weighed, Diagnosis> diagnoses =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  SuspectsService(CircuitService circuits, CircuitWords names, FoundSoFar found, Words words) {
    this.circuits = circuits;
    this.names = names;
    this.found = found;
    this.words = words;
  }

  /** What the panel shows of it. */
  record Ranked(List<SuspectShown> suspects, Optional<NextCheck> next) {}

  /**
   * The suspects.
   *
   * @param looks what was seen at the joints, as far as it counts now
   * @param test the newest test
   * @param balance its balance, where it measured a leak
   */
  Ranked of(
      UUID jobId, Looks looks, Optional<PressureTestView> test, Optional<LeakBalance> balance) {
    Diagnosis diagnosis = diagnosis(jobId, looks, test, balance);
    List<SuspectShown> suspects =
        diagnosis.suspects().stream()
            .filter(s -> s.probability() >= SHOWN_FROM)
            .limit(MOST_SHOWN)
            .map(s -> shown(jobId, circuits.circuit(jobId), s))
            .toList();
    double open = diagnosis.posterior().entropy();
    Optional<NextCheck> next =
        diagnosis.next().stream()
            .filter(r -> !looks.hidden().contains(r.check().name().replaceFirst("^look:", "")))
            .findFirst()
            .map(r -> next(jobId, r, open));
    return new Ranked(suspects, next);
  }

  /** Everything that is known, weighed. */
  Diagnosis diagnosis(
      UUID jobId, Looks looks, Optional<PressureTestView> test, Optional<LeakBalance> balance) {
    Circuit circuit = circuits.circuit(jobId);
    Weighed weighed =
        new Weighed(vocabulary.places(circuit), found.of(jobId, circuit, looks, test, balance));
    return diagnoses.get(weighed, w -> Diagnosis.of(w.places(), w.found()));
  }

  /** What a diagnosis follows from, and nothing else. */
  private record Weighed(List<PlaceFacts> places, Diagnosis.Found found) {}

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
    String kind = reason.finding().replaceAll(":.*", "");
    String direction = reason.logRatio() > 0 ? "for" : "against";
    return words.say("evidence." + kind + "." + direction);
  }

  private NextCheck next(UUID jobId, Check.Ranked ranked, double open) {
    String place = ranked.check().name().replaceFirst("^look:", "");
    boolean look = !place.equals(ranked.check().name());
    int share = open > 0 ? (int) Math.round(100 * ranked.bits() / open) : 0;
    return new NextCheck(
        look
            ? words.say("evidence.next.look", names.joint(jobId, place))
            : words.say("evidence.next." + ranked.check().name()),
        words.say("evidence.next.tells", Figures.plain(ranked.check().minutes()), share),
        look ? address(jobId, place) : "/jobs/" + jobId + "/pressure-test");
  }

  private static String address(UUID jobId, String place) {
    boolean drawn = !place.startsWith("inside.") && !place.startsWith("elsewhere.");
    return drawn ? "/jobs/" + jobId + "/find?joint=" + place : "/jobs/" + jobId + "/find";
  }
}
