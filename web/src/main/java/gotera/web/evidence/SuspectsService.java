package gotera.web.evidence;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.circuit.Circuit;
import gotera.look.LookState;
import gotera.suspects.Action;
import gotera.suspects.Assessment;
import gotera.suspects.Assessment.Suspect;
import gotera.suspects.Case;
import gotera.suspects.Flag;
import gotera.suspects.Meaning;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Vocabulary;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.evidence.SoFar.NextCheck;
import gotera.web.evidence.SoFar.SuspectShown;
import gotera.web.storage.RequestMemo;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Says what may still leak, and what to do next. */
@Component
public class SuspectsService {
  private static final int MOST_SHOWN = 4;
  private static final int MOST_KEPT = 200;

  private final CircuitService circuits;
  private final CircuitWords names;
  private final Cases cases;
  private final EvidenceWords said;
  private final RequestMemo memo;
  private final Words words;
  private final Cache<Case, Assessment> assessments =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  /** Cases that are still in use, told apart without comparing them. */
  private final Cache<Case, Assessment> same = Caffeine.newBuilder().weakKeys().build();

  SuspectsService(
      CircuitService circuits,
      CircuitWords names,
      Cases cases,
      EvidenceWords said,
      RequestMemo memo,
      Words words) {
    this.memo = memo;
    this.circuits = circuits;
    this.names = names;
    this.cases = cases;
    this.said = said;
    this.words = words;
  }

  /** What is suspected on a job now. */
  public Assessment assess(UUID jobId) {
    return memo.of(
        List.of("assessment", jobId),
        () -> same.get(cases.of(jobId), c -> assessments.get(c, Assessment::of)));
  }

  /** The suspects that are worth a line; what was found and measured stands among the sites. */
  List<SuspectShown> suspects(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    Set<String> measured =
        cases.of(jobId).wet().stream()
            .filter(l -> l.flow().isPresent())
            .map(Looked::place)
            .collect(Collectors.toSet());
    return assess(jobId).worthALine().stream()
        .filter(s -> !measured.contains(s.place()))
        .limit(MOST_SHOWN)
        .map(s -> shown(jobId, circuit, s))
        .toList();
  }

  /**
   * The likeliest place with what speaks for and against it.
   *
   * @param name its name
   * @param percent its probability, in percent
   * @param speaksFor what speaks for it
   * @param against what speaks against it
   * @param found whether it is found: only then a customer is told of it
   */
  public record Claim(String name, int percent, String speaksFor, String against, boolean found) {}

  /** What is claimed of a job; nothing once it is proven tight. */
  public Optional<Claim> claim(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    return assess(jobId).suspects().stream()
        .findFirst()
        .map(
            s -> {
              SuspectShown shown = shown(jobId, circuit, s);
              return new Claim(
                  shown.name(),
                  shown.percent(),
                  shown.speaksFor(),
                  shown.against(),
                  assess(jobId).isFound(s));
            });
  }

  /** Every place, the likeliest first; those that are suspected most with their reasons. */
  List<SuspectShown> all(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    Assessment assessment = assess(jobId);
    List<SuspectShown> all = new ArrayList<>();
    assessment.suspects().forEach(s -> all.add(shown(jobId, circuit, s)));
    if (!all.isEmpty()) {
      assessment.posterior().suspects().stream()
          .skip(all.size())
          .map(s -> new Suspect(s.place(), s.probability(), List.of()))
          .forEach(s -> all.add(shown(jobId, circuit, s)));
    }
    return all;
  }

  /**
   * What contradicts itself, and the rules of the trade that apply, in words; of another leak the
   * balance speaks.
   */
  public List<String> flags(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    return Stream.concat(
            assess(jobId).job().contradictions().stream().map(c -> said.contradiction(circuit, c)),
            assess(jobId).flags().stream()
                .filter(f -> f.kind() != Flag.Kind.ANOTHER_LEAK)
                .map(said::flag))
        .toList();
  }

  /** What the findings mean, and what they do not, in words. */
  public List<String> meanings(UUID jobId) {
    return Meaning.of(assess(jobId).job()).stream().map(said::meaning).toList();
  }

  /** What comes first of what could be done. */
  Optional<NextCheck> next(UUID jobId) {
    Assessment assessment = assess(jobId);
    Circuit circuit = circuits.circuit(jobId);
    double open = assessment.posterior().entropy();
    return assessment.next().stream()
        .findFirst()
        .map(
            p ->
                new NextCheck(
                    said.name(circuit, p), said.tells(p, open), address(jobId, circuit, p.what())));
  }

  private SuspectShown shown(UUID jobId, Circuit circuit, Suspect suspect) {
    String speaksFor = said.reasons(circuit, suspect.place(), suspect.reasons(), true);
    String against = said.reasons(circuit, suspect.place(), suspect.reasons(), false);
    boolean none = speaksFor.isEmpty() && against.isEmpty();
    return new SuspectShown(
        names.joint(circuit, suspect.place()),
        (int) Math.round(100 * suspect.probability()),
        none
            ? words.say(assess(jobId).isWorthALine(suspect) ? "evidence.usual" : "evidence.unseen")
            : speaksFor,
        against,
        address(jobId, suspect.place()));
  }

  private static String address(UUID jobId, Circuit circuit, Action what) {
    String job = "/jobs/" + jobId;
    if (what instanceof Action.OfTheWhole whole) {
      return job
          + switch (whole.what()) {
            case REPAIR -> "/repair";
            case RE_TEST -> "/re-test/proof";
            case PRESSURE_TEST -> "/pressure-test";
            case DYE -> "/dye";
            case COMBUSTION_GAS, BUBBLES, CYLINDER -> "/inside";
            case PARKED_OVERNIGHT -> "/visual-check";
            case LEVEL_WATCH -> "/re-test/proof";
            case DONE -> "/hand-over";
          };
    }
    if (what instanceof Action.LookRound round) {
      boolean still = round.then() == LookState.COLD || round.then() == LookState.PARKED;
      return job + (still ? "/visual-check" : "/find");
    }
    if (what instanceof Action.TryCap) {
      return job + "/cap";
    }
    return what.inside()
        ? job + "/inside"
        : what.place()
            .filter(p -> circuit.joint(p).isPresent())
            .map(p -> address(jobId, p))
            .orElse(job + "/find");
  }

  private static String address(UUID jobId, String place) {
    return "/jobs/"
        + jobId
        + switch (Vocabulary.published().facts(place).kind()) {
          case INSIDE -> "/inside";
          case ELSEWHERE -> "/find";
          case JOINT, ADDED -> "/find?joint=" + place;
        };
  }
}
