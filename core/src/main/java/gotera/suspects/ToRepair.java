package gotera.suspects;

import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Action.OfTheWhole;
import gotera.suspects.Action.Whole;
import gotera.suspects.Flag.Kind;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Proposal.Why;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is found is repaired, once nothing contradicts it and what it loses is known. */
final class ToRepair {
  private final Case job;
  private final Posterior known;
  private final Set<Kind> flags;
  private final Set<String> found;
  private final List<Proposal> ranked;

  ToRepair(Case job, Posterior known, Set<Kind> flags, Set<String> found, List<Proposal> ranked) {
    this.job = job;
    this.known = known;
    this.flags = flags;
    this.found = found;
    this.ranked = ranked;
  }

  /** Of two entries that contradict each other the one that is quicker is made again. */
  Optional<Proposal> settled() {
    return job.contradictions().stream().findFirst().map(this::settling);
  }

  private Proposal settling(Contradiction c) {
    String place = c.place().orElse("");
    long counted =
        job.counting(Observation.Looked.class).stream()
            .filter(l -> l.place().equals(place) && l.flow().isPresent())
            .count();
    boolean hold =
        c.kind() == Contradiction.Kind.VERDICT_AGAINST_RATE
            || c.kind() == Contradiction.Kind.MORE_CAUGHT && counted > 1;
    boolean dry = c.kind() == Contradiction.Kind.DRIPS_AND_DRY;
    LookState state = c.other().state().orElse(LookState.PRESSED);
    Action again =
        hold
            ? new OfTheWhole(Whole.PRESSURE_TEST)
            : dry ? new Action.Look(place, state, true) : new Action.CountDrops(place);
    return new Proposal(
        again,
        Case.VOCABULARY.minutes(again.word()),
        0,
        dry ? List.of(Proposal.First.DRY) : List.of(),
        hold ? List.of() : List.of(place),
        Why.CONTRADICTS);
  }

  /**
   * What is found is repaired; what drips under pressure is counted first: that takes minutes,
   * shows that it was no mistake, and says what it explains. What sprays or runs needs no counting.
   */
  Optional<Proposal> first() {
    Set<String> certain = Found.certain(job);
    if (!certain.isEmpty()) {
      Optional<Proposal> another =
          flags.contains(Kind.ANOTHER_LEAK)
              ? NextSteps.best(
                  ranked,
                  p -> p instanceof Action.LookRound && NextSteps.in(p, LookState.PRESSED),
                  Why.BALANCE)
              : Optional.empty();
      boolean within = another.isEmpty() && flags.contains(Kind.FALLS_AND_DRY_OUTSIDE);
      return another
          .or(() -> within ? NextSteps.best(ranked, Action::inside, Why.INSIDE) : Optional.empty())
          .or(() -> Optional.of(NextSteps.whole(Whole.REPAIR, Why.FOUND)));
    }
    Optional<String> place =
        known.suspects().stream().map(Posterior.Suspect::place).filter(found::contains).findFirst();
    if (place.isEmpty()) {
      return Optional.empty();
    }
    boolean drips =
        job.looks().stream()
            .filter(l -> l.place().equals(place.get()))
            .reduce((a, b) -> b)
            .filter(l -> l.saw() == Sight.WET && l.driedBefore() && l.state() == LookState.PRESSED)
            .isPresent();
    boolean count = drips && !isGross();
    return Optional.of(count ? countDrops(place.get()) : NextSteps.whole(Whole.REPAIR, Why.FOUND));
  }

  /** What runs out faster than it can be pumped in needs no counting. */
  private boolean isGross() {
    return job.holds(false).stream().anyMatch(h -> h.outcome() instanceof Outcome.AtLeast);
  }

  private static Proposal countDrops(String place) {
    Action count = new Action.CountDrops(place);
    return new Proposal(
        count, Case.VOCABULARY.minutes(count.word()), 0, List.of(), List.of(place), Why.BALANCE);
  }
}
