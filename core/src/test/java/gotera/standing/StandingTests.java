package gotera.standing;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.DripSpot;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.retest.Circumstance;
import gotera.retest.Repeat;
import gotera.retest.Shown;
import gotera.standing.LeaksAgain.By;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Scanned;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Whole visits, and the laws that hold whatever is entered in whatever order. */
class StandingTests {
  private static final double ACCEPTED = 0.1;
  private static final Instant FOUND = Instant.parse("2026-11-20T08:00:00Z");
  private static final String END = "radiator.upper-hose";

  private final List<Happened<Observation>> observed = new ArrayList<>();
  private final List<Happened<Repeat>> repeated = new ArrayList<>();
  private final List<LeaksAgain> failed = new ArrayList<>();

  private static Instant hour(int hours) {
    return FOUND.plus(Duration.ofHours(hours));
  }

  private static Looked look(LookState state, Sight saw) {
    return new Looked(END, state, saw, OptionalDouble.empty(), OptionalDouble.empty());
  }

  private void seen(int hours, Observation what) {
    observed.add(new Happened<>(hour(hours), what));
  }

  private void repeat(int hours, Repeat what) {
    repeated.add(new Happened<>(hour(hours), what));
  }

  private Standing standing() {
    return Standing.of(new Visit(observed, List.of(), repeated, failed), ACCEPTED);
  }

  /** Found wet under pressure, repaired an hour later, held tight after another. */
  private void proven() {
    seen(0, look(LookState.PRESSED, Sight.WET));
    seen(1, new Repaired());
    repeat(2, new Repeat.Hold(0.05, 110));
    assertThat(standing().isProven()).isTrue();
  }

  @Test
  void aFreshDripAtTheSamePlaceTakesProvenBackAndNamesIt() {
    proven();
    seen(50, look(LookState.PRESSED, Sight.WET));
    Standing standing = standing();
    assertThat(standing.isProven()).isFalse();
    assertThat(standing.newest())
        .contains(new LeaksAgain(Circumstance.PRESSED, By.WET, END, hour(50)));
    assertThat(standing.proof().leaksStill()).isEqualTo(1);
  }

  /** Repaired in this job or in an earlier one; dry again, or elsewhere, it is not said. */
  @Test
  void aPlaceThatWasRepairedAndLeaksAgainIsNamed() {
    List<Happened<String>> mended =
        List.of(new Happened<>(hour(1), END), new Happened<>(hour(1), "pump.shaft-seal"));
    seen(0, look(LookState.PRESSED, Sight.WET));
    assertThat(LeaksTwice.of(observed, mended)).as("wet before the repair").isEmpty();
    seen(300, look(LookState.PRESSED, Sight.STAINED));
    assertThat(LeaksTwice.of(observed, mended)).as("a stain may be old").isEmpty();
    seen(301, look(LookState.PRESSED, Sight.WET));
    assertThat(LeaksTwice.of(observed, mended))
        .containsExactly(new LeaksTwice(END, hour(1), hour(301)));
    Collections.reverse(observed);
    assertThat(LeaksTwice.of(observed, mended)).as("in any order").hasSize(1);
    seen(302, look(LookState.PRESSED, Sight.DRY));
    assertThat(LeaksTwice.of(observed, mended)).as("looked at once more, dry").isEmpty();
    seen(303, look(LookState.PRESSED, Sight.WET));
    List<Happened<String>> again = new ArrayList<>(mended);
    again.add(new Happened<>(hour(400), END));
    assertThat(LeaksTwice.of(observed, again)).as("repaired once more").isEmpty();
  }

  @Test
  void dripsNewGlowNewStainsAndAFallingLevelTakeItBack() {
    for (Observation what :
        List.of(
            new Dripped(DripSpot.UNDER_PUMP, LookState.COLD),
            new Scanned(END, Glow.NEW_GLOW),
            look(LookState.COLD, Sight.STAINED),
            look(LookState.RUNNING, Sight.WET))) {
      observed.clear();
      repeated.clear();
      proven();
      seen(50, what);
      assertThat(standing().isProven()).as(what.toString()).isFalse();
    }
    observed.clear();
    repeated.clear();
    proven();
    failed.add(new LeaksAgain(Circumstance.OVER_WEEKS, By.LEVEL, "", hour(300)));
    assertThat(standing().isProven()).isFalse();
  }

  @Test
  void whatIsNoNewsTakesNothingBack() {
    seen(-1, look(LookState.COLD, Sight.STAINED));
    proven();
    seen(50, look(LookState.COLD, Sight.STAINED));
    seen(51, new Scanned(END, Glow.UNCHANGED));
    seen(52, look(LookState.COLD, Sight.DRY));
    failed.add(new LeaksAgain(Circumstance.OVER_WEEKS, By.LEVEL, "", hour(-9)));
    assertThat(standing().isProven()).as("a level that fell before the repair").isTrue();
    // cleaned, and stained again: that is new
    seen(53, look(LookState.COLD, Sight.CLEANED));
    seen(54, look(LookState.COLD, Sight.STAINED));
    assertThat(standing().isProven()).isFalse();
  }

  @Test
  void aBetterLookARepeatOrAnotherRepairGivesItBack() {
    proven();
    seen(50, look(LookState.PRESSED, Sight.WET));
    seen(51, look(LookState.RUNNING, Sight.DRY));
    assertThat(standing().isProven()).as("dry in another state").isFalse();
    seen(52, look(LookState.PRESSED, Sight.CLEANED));
    assertThat(standing().isProven()).as("wiped off").isFalse();
    repeat(53, new Repeat.Hold(0.5, 110));
    assertThat(standing().isProven()).as("held, but not within what is accepted").isFalse();
    repeat(54, new Repeat.Hold(0.05, 110));
    assertThat(standing().isProven()).as("held again").isTrue();
    seen(60, look(LookState.PRESSED, Sight.WET));
    seen(61, look(LookState.PRESSED, Sight.DRY));
    assertThat(standing().isProven()).as("dry in the same state").isTrue();
    seen(70, look(LookState.PRESSED, Sight.WET));
    seen(71, new Repaired());
    assertThat(standing().isProven()).as("repaired once more, not tested").isFalse();
    assertThat(standing().again()).isEmpty();
    repeat(72, new Repeat.Hold(0.05, 110));
    assertThat(standing().isProven()).isTrue();
  }

  /** Marks of ten days that were read before the repair and written down after it. */
  @Test
  void whatHappenedBeforeTheRepairProvesNothing() {
    seen(0, look(LookState.PARKED, Sight.WET));
    repeat(200, new Repeat.Marks(0.01, 0.01, 9));
    seen(240, new Repaired());
    assertThat(standing().isProven()).isFalse();
    assertThat(standing().proof().open()).hasSize(1);
    repeat(460, new Repeat.Marks(0.01, 0.01, 9));
    assertThat(standing().isProven()).isTrue();
  }

  private static Observation any(Random random) {
    LookState state = LookState.values()[random.nextInt(LookState.values().length)];
    return switch (random.nextInt(6)) {
      case 0 -> new Repaired();
      case 1 -> new Dripped(DripSpot.UNDER_PUMP, state);
      case 2 -> new Scanned(END, Glow.values()[random.nextInt(Glow.values().length)]);
      default -> look(state, Sight.values()[random.nextInt(Sight.values().length)]);
    };
  }

  private static Repeat repeat(Random random) {
    return switch (random.nextInt(4)) {
      case 0 -> new Repeat.Hold(random.nextDouble() * 0.3, 90 + random.nextInt(40));
      case 1 -> new Repeat.DryRun(1 + random.nextInt(90));
      case 2 -> new Repeat.Drive();
      default ->
          new Repeat.Marks(
              random.nextDouble() * 0.3, random.nextDouble() * 0.2, random.nextInt(20));
    };
  }

  /** Ten thousand visits: the order of entry changes nothing, and each law holds. */
  @Test
  void theLawsHoldForAnyVisit() {
    Random random = new Random(32);
    int proven = 0;
    for (int run = 0; run < 10_000; run++) {
      List<Happened<Observation>> seen = new ArrayList<>();
      List<Happened<Repeat>> repeats = new ArrayList<>();
      int last = 0;
      for (int i = random.nextInt(9); i >= 0; i--) {
        last += 1 + random.nextInt(5);
        if (random.nextInt(3) > 0) {
          seen.add(new Happened<>(hour(last), any(random)));
        } else {
          repeats.add(new Happened<>(hour(last), repeat(random)));
        }
      }
      List<Shown> told = random.nextBoolean() ? List.of(Shown.of(Circumstance.PARKED)) : List.of();
      Standing standing = Standing.of(new Visit(seen, told, repeats, List.of()), ACCEPTED);
      proven += standing.isProven() ? 1 : 0;
      // order of entry
      List<Happened<Observation>> shuffled = new ArrayList<>(seen);
      Collections.shuffle(shuffled, random);
      List<Happened<Repeat>> mixed = new ArrayList<>(repeats);
      Collections.shuffle(mixed, random);
      assertThat(Standing.of(new Visit(shuffled, told, mixed, List.of()), ACCEPTED))
          .isEqualTo(standing);
      // proven: after a repair, with nothing that leaks since
      if (standing.isProven()) {
        Instant repaired = new Visit(seen, told, repeats, List.of()).repaired().orElseThrow();
        assertThat(standing.again()).isEmpty();
        // without what was repeated since, nothing is
        List<Happened<Repeat>> before =
            repeats.stream().filter(r -> !r.at().isAfter(repaired)).toList();
        assertThat(Standing.of(new Visit(seen, told, before, List.of()), ACCEPTED).isProven())
            .isFalse();
        // a wet look that is newer takes it back, and taking that look back gives it back
        List<Happened<Observation>> wet = new ArrayList<>(seen);
        wet.add(new Happened<>(hour(last + 1), look(LookState.PRESSED, Sight.WET)));
        Standing after = Standing.of(new Visit(wet, told, repeats, List.of()), ACCEPTED);
        assertThat(after.isProven()).isFalse();
        assertThat(after.newest().orElseThrow().place()).isEqualTo(END);
        // and a repair that is newer leaves it to be proven anew
        List<Happened<Observation>> anew = new ArrayList<>(seen);
        anew.add(new Happened<>(hour(last + 1), new Repaired()));
        assertThat(Standing.of(new Visit(anew, told, repeats, List.of()), ACCEPTED).isProven())
            .isFalse();
      }
    }
    assertThat(proven).as("visits that end proven").isGreaterThan(100);
  }
}
