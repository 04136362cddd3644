package gotera.suspects;

import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.suspects.Candidates.Candidate;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Proposal.Why;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Which wet place is dried and watched next. Whatever else spoke against it, that settles it in
 * minutes.
 */
final class ToWatch {
  private final Case job;
  private final Posterior known;
  private final Set<String> found;
  private final List<Candidate> candidates;

  /**
   * A check that was chosen.
   *
   * @param check the check
   * @param why for what reason
   */
  record Chosen(Candidate check, Why why) {}

  ToWatch(Case job, Posterior known, Set<String> found, List<Candidate> candidates) {
    this.job = job;
    this.known = known;
    this.found = found;
    this.candidates = candidates;
  }

  /**
   * What is wet or glows, in the state in which it was wet; cold it is pressed. The likeliest
   * first, and before it what is wet above it.
   */
  Optional<Chosen> first() {
    Map<String, LookState> pending = Watching.pending(job);
    return places()
        .filter(pending::containsKey)
        .flatMap(p -> Stream.of(topmost(p, pending), p))
        .flatMap(p -> check(p, pending.getOrDefault(p, LookState.PRESSED)).stream())
        .findFirst()
        .map(c -> new Chosen(c, Why.TRACE))
        .or(this::again)
        .or(this::cap);
  }

  /** A cap that failed is tried once more, its seal wetted. */
  private Optional<Chosen> cap() {
    return candidates.stream()
        .filter(c -> c.what() instanceof Action.TryCap t && CapTried.fails(job, t.at()) == 1)
        .findFirst()
        .map(c -> new Chosen(c, Why.FAILS_AGAIN));
  }

  private Stream<String> places() {
    return known.suspects().stream().map(Posterior.Suspect::place);
  }

  private String topmost(String place, Map<String, LookState> pending) {
    LookState state = pending.getOrDefault(place, LookState.PRESSED);
    Set<String> above = job.above(place, state).keySet();
    return places()
        .filter(p -> pending.containsKey(p) && above.contains(p))
        .min(
            Comparator.comparingDouble(
                p -> job.circuit().joint(p).map(j -> j.at().y()).orElse(0.0)))
        .orElse(place);
  }

  /** A first bead that something else explains as well is waited for again. */
  private Optional<Chosen> again() {
    return places()
        .filter(p -> !found.contains(p))
        .flatMap(p -> beaded(p).flatMap(s -> check(p, s)).stream())
        .findFirst()
        .map(c -> new Chosen(c, c.what() instanceof Action.TryCap ? Why.TRACE : Why.FIRST_BEAD));
  }

  /** The state in which it beaded last, where the last look there did. */
  private Optional<LookState> beaded(String place) {
    return job.looks().stream()
        .filter(l -> l.place().equals(place) && l.fresh())
        .reduce((a, b) -> b)
        .filter(Looked::wet)
        .map(Looked::state);
  }

  /** A cap goes on its tester where it is not in the test. */
  private Optional<Candidate> check(String place, LookState state) {
    return candidates.stream()
        .filter(c -> dries(c.what(), place) && c.what().state().filter(state::equals).isPresent())
        .findFirst()
        .or(
            () ->
                candidates.stream()
                    .filter(c -> c.what() instanceof Action.TryCap t && t.at().equals(place))
                    .findFirst())
        .or(() -> candidates.stream().filter(c -> dries(c.what(), place)).findFirst());
  }

  /** Whether it dries and watches a place. */
  static boolean dries(Action what, String place) {
    return what instanceof Action.Look look && look.dried() && look.at().equals(place);
  }
}
