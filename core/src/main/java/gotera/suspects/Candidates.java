package gotera.suspects;

import gotera.evidence.Check;
import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Scope;
import gotera.suspects.Proposal.First;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Every check that can be made now, with what must come first in its minutes: looks by state, dried
 * looks, a hold, dye, fluids, gas, bubbles, cylinders, the cap. What was done in a state is not
 * offered in that state again.
 */
final class Candidates {
  private static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Case job;
  private final Posterior known;
  private final Preparation preparation;
  private final Set<String> outOfTest;
  private final List<Candidate> all = new ArrayList<>();

  /**
   * A check that can be made.
   *
   * @param what what it is
   * @param check what it can show and costs
   * @param first what must come first
   * @param settles places it is about
   */
  record Candidate(Action what, Check check, List<First> first, List<String> settles) {}

  private Candidates(Case job, Posterior known) {
    this.job = job;
    this.known = known;
    this.preparation = Preparation.of(job);
    this.outOfTest = Scoped.of(job.circuit(), job.now(), Scope.of(loop(job))).out();
  }

  static String loop(Case job) {
    return job.held(false).map(Held::loop).orElse("");
  }

  static List<Candidate> of(Case job, Posterior known) {
    Candidates candidates = new Candidates(job, known);
    candidates.looks();
    candidates.all.addAll(OtherCandidates.of(job, known));
    return List.copyOf(candidates.all);
  }

  private void looks() {
    Set<String> hidden = job.hidden();
    Set<String> unclear = unclear();
    for (PlaceFacts p : job.open()) {
      boolean seen = p.kind() != PlaceKind.INSIDE && !hidden.contains(p.place());
      if (seen && p.kind() != PlaceKind.ELSEWHERE && !cutOff(job, p.place())) {
        for (LookState s : states()) {
          look(p, s, unclear.contains(p.place()));
        }
      }
    }
  }

  /** A cold look without pressure, as long as it stands cold and without. */
  private List<LookState> states() {
    LookState now = preparation.state();
    return now == LookState.PARKED || now == LookState.COLD
        ? List.of(LookState.PRESSED, LookState.RUNNING, now)
        : List.of(LookState.PRESSED, LookState.RUNNING);
  }

  private void look(PlaceFacts p, LookState s, boolean unclear) {
    boolean test = s != LookState.PRESSED || !outOfTest.contains(p.place());
    if (test && !looked(p.place(), s, false)) {
      add(p, s, false);
    }
    boolean dry = s == LookState.PRESSED || s == LookState.RUNNING;
    if (test && dry && unclear && !looked(p.place(), s, true)) {
      add(p, s, true);
    }
  }

  private void add(PlaceFacts p, LookState s, boolean dried) {
    List<First> first = new ArrayList<>(preparation.before(s));
    if (p.access().coverMinutes() > 0) {
      first.add(First.UNCOVER);
    }
    if (dried) {
      first.add(First.DRY);
    }
    Action.Look look = new Action.Look(p.place(), s, dried);
    double minutes =
        Preparation.minutes(first)
            + p.access().all()
            + (dried ? VOCABULARY.minutes(look.word()) : 0);
    all.add(
        new Candidate(
            look,
            new Check(
                look,
                minutes,
                List.of(
                    CaseEvidence.look(job, p.place(), s, true, dried),
                    CaseEvidence.look(job, p.place(), s, false, dried))),
            first,
            List.of(p.place())));
  }

  private boolean looked(String place, LookState s, boolean dried) {
    return job.looks().stream()
        .anyMatch(
            l ->
                l.place().equals(place)
                    && l.state() == s
                    && (dried ? l.driedBefore() : l.saw() == Sight.WET || l.saw() == Sight.DRY));
  }

  /** Places where something was seen that may come from elsewhere, or that are all but certain. */
  private Set<String> unclear() {
    Set<String> unclear = new HashSet<>();
    job.latest().stream()
        .filter(l -> l.wet() || l.saw() == Sight.STAINED)
        .forEach(l -> unclear.add(l.place()));
    job.counting(Felt.class).forEach(f -> unclear.add(f.place()));
    known.suspects().stream()
        .filter(s -> s.probability() >= NextSteps.CERTAIN)
        .forEach(s -> unclear.add(s.place()));
    return unclear;
  }

  static boolean cutOff(Case job, String place) {
    return job.circuit()
        .joint(place)
        .filter(j -> job.now().cutOff().contains(j.branch()))
        .isPresent();
  }
}
