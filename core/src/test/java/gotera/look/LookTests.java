package gotera.look;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.look.VisualCheck.Look;
import gotera.testkit.Close;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LookTests {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
  private static final Set<String> PLACES = Set.of("a", "b", "c");

  private static Look look(String place, LookState state, Sight seen) {
    return new Look(place, state, seen, NOON.minusSeconds(600));
  }

  private static VisualCheck round(LookState state, Look... looks) {
    return VisualCheck.of(state, PLACES, List.of(looks), Instant.MIN, NOON);
  }

  private static Look[] all(LookState state, Sight seen) {
    return PLACES.stream().map(p -> look(p, state, seen)).toArray(Look[]::new);
  }

  @Test
  void dryEverywhereNeedsEveryPlaceUnderPressure() {
    assertThat(round(LookState.PRESSED, all(LookState.PRESSED, Sight.DRY)).dryEverywhere())
        .isTrue();
    assertThat(round(LookState.COLD, all(LookState.COLD, Sight.DRY)).dryEverywhere()).isFalse();
    assertThat(round(LookState.COLD, all(LookState.COLD, Sight.DRY)).dryThroughout()).isTrue();
    assertThat(round(LookState.PRESSED, all(LookState.COLD, Sight.DRY)).open()).isEqualTo(3);
    assertThat(
            round(
                    LookState.PRESSED,
                    look("a", LookState.PRESSED, Sight.DRY),
                    look("b", LookState.PRESSED, Sight.DRY))
                .dryEverywhere())
        .isFalse();
  }

  @Test
  void aPlaceThatIsNotOnTheCircuitDoesNotCount() {
    Look[] looks = all(LookState.PRESSED, Sight.DRY);
    VisualCheck smaller =
        VisualCheck.of(LookState.PRESSED, Set.of("a", "d"), List.of(looks), Instant.MIN, NOON);
    assertThat(smaller.places()).isEqualTo(2);
    assertThat(smaller.open()).isEqualTo(1);
    assertThat(
            VisualCheck.of(LookState.PRESSED, Set.of(), List.of(looks), Instant.MIN, NOON)
                .dryEverywhere())
        .isFalse();
  }

  @Test
  void aLookBeforeTheRepairOrOfYesterdayIsStale() {
    Look old = new Look("a", LookState.PRESSED, Sight.DRY, NOON.minus(Duration.ofHours(25)));
    assertThat(round(LookState.PRESSED, old).open()).isEqualTo(3);
    assertThat(
            VisualCheck.of(
                    LookState.PRESSED,
                    PLACES,
                    List.of(all(LookState.PRESSED, Sight.DRY)),
                    NOON.minusSeconds(300),
                    NOON)
                .open())
        .isEqualTo(3);
  }

  @Test
  void statesStandBesideEachOther() {
    Look cold = look("a", LookState.COLD, Sight.WET);
    Look warm = look("a", LookState.WARM, Sight.DRY);
    assertThat(round(LookState.COLD, cold, warm).wet()).isEqualTo(1);
    assertThat(round(LookState.WARM, cold, warm).wet()).isZero();
  }

  @Test
  void whatIsHiddenIsNotOpenAndWhatWasOnlyCleanedIs() {
    VisualCheck round =
        round(
            LookState.COLD,
            look("a", LookState.COLD, Sight.HIDDEN),
            look("b", LookState.COLD, Sight.CLEANED),
            look("c", LookState.COLD, Sight.STAINED));
    assertThat(round.open()).isEqualTo(1);
    assertThat(round.hidden()).isEqualTo(1);
    assertThat(round.stained()).isEqualTo(1);
  }

  /** Poisson: none where 2.996 were expected happens once in twenty times. */
  @Test
  void aDryLookBoundsTheRate() {
    Close.to("15 min without a drop, mL/min", DryLook.most(15), 0.010, 2e-4);
    Close.to("Poisson of none", Math.exp(-DryLook.most(15) * 15 / DryLook.DROP), 0.05, 1e-9);
    Close.to("for a bound, min", DryLook.minutesFor(DryLook.most(24)), 24, 1e-9);
    Close.to("after a leak that showed after 8 min", DryLook.minutesAfter(8), 24, 0);
  }
}
