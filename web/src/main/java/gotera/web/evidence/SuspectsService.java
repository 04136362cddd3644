package gotera.web.evidence;

import gotera.balance.LeakBalance;
import gotera.evidence.Check;
import gotera.evidence.Diagnosis;
import gotera.evidence.PlaceFacts;
import gotera.evidence.Posterior;
import gotera.evidence.SignFacts;
import gotera.formats.Vocabulary;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.LeakSite;
import gotera.web.evidence.SoFar.NextCheck;
import gotera.web.evidence.SoFar.SuspectShown;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureTestView;
import gotera.web.shell.Figures;
import gotera.web.shell.Words;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Ranks what may still leak, from what was looked at, measured and told. */
@Component
class SuspectsService {
  /** Below this a place is not worth a line (our judgement, untested). */
  private static final double SHOWN_FROM = 0.04;

  private static final int MOST_SHOWN = 4;

  private static final double GROSS_U = 0.3;

  /** A look at less than this share of the rated pressure is one without pressure. */
  private static final double PRESSED_SHARE = 0.5;

  private static final Map<String, String> SIGN_OF =
      Map.of(
          "puddle", "puddle-overnight",
          "after-drive", "loss-after-drive",
          "running", "loss-while-running",
          "never-seen", "never-on-the-ground");

  private final CircuitService circuits;
  private final JobService jobs;
  private final Words words;
  private final Vocabulary vocabulary = Vocabulary.published();

  SuspectsService(CircuitService circuits, JobService jobs, Words words) {
    this.circuits = circuits;
    this.jobs = jobs;
    this.words = words;
  }

  /** What the panel shows of it. */
  record Ranked(List<SuspectShown> suspects, Optional<NextCheck> next) {}

  /**
   * The suspects.
   *
   * @param sites what was last seen at each joint, as far as it counts now
   * @param test the newest test
   * @param balance its balance, where it measured a leak
   */
  Ranked of(
      UUID jobId,
      List<LeakSite> sites,
      Optional<PressureTestView> test,
      Optional<LeakBalance> balance) {
    Diagnosis diagnosis = Diagnosis.of(places(), found(jobId, sites, test, balance));
    List<SuspectShown> suspects =
        diagnosis.suspects().stream()
            .filter(s -> s.probability() >= SHOWN_FROM)
            .limit(MOST_SHOWN)
            .map(s -> shown(jobId, s))
            .toList();
    double open = diagnosis.posterior().entropy();
    Optional<NextCheck> next = diagnosis.next().stream().findFirst().map(r -> next(jobId, r, open));
    return new Ranked(suspects, next);
  }

  /** The joints of this circuit, the inside, and what has no name on it. */
  private List<PlaceFacts> places() {
    Set<String> joints =
        circuits.circuit().joints().stream().map(j -> j.code()).collect(Collectors.toSet());
    return vocabulary.places().stream()
        .filter(p -> p.inside() || p.place().startsWith("elsewhere.") || joints.contains(p.place()))
        .toList();
  }

  private Diagnosis.Found found(
      UUID jobId,
      List<LeakSite> sites,
      Optional<PressureTestView> test,
      Optional<LeakBalance> balance) {
    Set<String> explained = new HashSet<>();
    sites.stream().filter(s -> s.flow().isPresent()).forEach(s -> explained.add(s.joint()));
    double rated = test.map(t -> t.conditions().rated().kilopascals()).orElse(100.0);
    List<Diagnosis.Look> looks =
        sites.stream()
            .filter(s -> s.saw().equals("wet") || s.saw().equals("dry"))
            .map(s -> new Diagnosis.Look(s.joint(), state(s, rated), s.wet()))
            .toList();
    List<SignFacts> signs =
        Optional.ofNullable(SIGN_OF.get(jobs.require(jobId).whereLost()))
            .flatMap(vocabulary::sign)
            .stream()
            .toList();
    return new Diagnosis.Found(explained, looks, signs, rate(test, balance));
  }

  private static PlaceFacts.State state(LeakSite site, double rated) {
    return site.pressureKpa().isPresent()
            && site.pressureKpa().getAsDouble() >= PRESSED_SHARE * rated
        ? PlaceFacts.State.PRESSED
        : PlaceFacts.State.PARKED;
  }

  private static Optional<Diagnosis.Rate> rate(
      Optional<PressureTestView> test, Optional<LeakBalance> balance) {
    if (balance.isPresent()) {
      return Optional.of(
          new Diagnosis.Rate(balance.get().unexplained(), balance.get().unexplainedU()));
    }
    // of a gross leak only a lower bound is known (its width: our judgement, untested)
    if (test.isPresent() && test.get().result().lowerBound().isPresent()) {
      double bound = test.get().result().lowerBound().getAsDouble();
      return Optional.of(new Diagnosis.Rate(bound, GROSS_U * bound));
    }
    // what does not count tells nothing, and air tells nothing of coolant
    Optional<Rate> rate =
        test.filter(t -> t.result().verdict() != VerdictKind.NOT_COUNTED)
            .flatMap(t -> t.result().rate())
            .filter(r -> r.asCoolant().isEmpty());
    return rate.map(r -> new Diagnosis.Rate(r.rate(), r.u()));
  }

  private SuspectShown shown(UUID jobId, Diagnosis.Suspect suspect) {
    String reasons =
        suspect.reasons().stream().map(this::reason).collect(Collectors.joining(" \u00b7 "));
    return new SuspectShown(
        name(suspect.place()),
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
            ? words.say("evidence.next.look", name(place))
            : words.say("evidence.next." + ranked.check().name()),
        words.say("evidence.next.tells", Figures.plain(ranked.check().minutes()), share),
        look ? address(jobId, place) : "/jobs/" + jobId + "/pressure-test");
  }

  private String name(String place) {
    return words.say("joint." + place);
  }

  private static String address(UUID jobId, String place) {
    boolean drawn = !place.startsWith("inside.") && !place.startsWith("elsewhere.");
    return drawn ? "/jobs/" + jobId + "/find?joint=" + place : "/jobs/" + jobId + "/find";
  }
}
