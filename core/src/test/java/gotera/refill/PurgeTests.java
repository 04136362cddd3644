package gotera.refill;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.bubble.FunnelStep;
import gotera.bubble.FunnelStep.Bubbles;
import gotera.bubble.FunnelStep.Level;
import gotera.bubble.FunnelStep.Size;
import gotera.bubble.FunnelStep.Warmed;
import gotera.coolant.CoolantMixture;
import gotera.refill.Purge.Missing;
import gotera.refill.Purge.Told;
import gotera.simulation.PurgeRun;
import gotera.testkit.Seeds;
import gotera.warming.NeckLevel;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** When a purge is at its end. */
class PurgeTests {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
  private static final NeckLevel FUNNEL = new NeckLevel(8000, new CoolantMixture(0.5), 80);
  private static final Told WARM = new Told(true, true, true);

  private static Instant at(double minute) {
    return NOON.plusMillis((long) (60_000 * minute));
  }

  private static List<FunnelStep> hotAndStill(double from, double to) {
    List<FunnelStep> steps = new ArrayList<>();
    for (double m = from; m <= to; m += 2) {
      steps.add(new Warmed(at(m), 88, 84));
      steps.add(new Level(at(m), 3));
    }
    return steps;
  }

  @Test
  void tenQuietMinutesWithHeatAndASteadyNeedleAreTheEnd() {
    assertThat(Purge.of(hotAndStill(0, 10), FUNNEL, WARM).missing()).isEmpty();
    assertThat(Purge.of(hotAndStill(0, 8), FUNNEL, WARM).missing())
        .containsExactly(Missing.LOOK_LONGER);
    assertThat(Purge.of(hotAndStill(0, 10), FUNNEL, new Told(true, false, false)).missing())
        .containsExactly(Missing.NO_CABIN_HEAT, Missing.NEEDLE_MOVES);
    assertThat(Purge.of(hotAndStill(0, 10), FUNNEL, new Told(false, false, true)).ended()).isTrue();
    assertThat(Purge.of(List.of(), FUNNEL, WARM).missing()).containsExactly(Missing.NOT_HOT);
  }

  @Test
  void aBubbleBeginsTheTenMinutesAnew() {
    List<FunnelStep> steps = hotAndStill(0, 18);
    steps.add(new Bubbles(at(9), Size.PEA, 1));
    assertThat(Purge.of(steps, FUNNEL, WARM).missing()).containsExactly(Missing.BUBBLES);
    steps.addAll(hotAndStill(20, 20));
    assertThat(Purge.of(steps, FUNNEL, WARM).missing()).isEmpty();
  }

  @Test
  void hosesThatCoolBeginItAnewToo() {
    List<FunnelStep> steps = hotAndStill(0, 8);
    steps.add(new Warmed(at(9), 65, 60));
    steps.addAll(hotAndStill(10, 18));
    assertThat(Purge.of(steps, FUNNEL, WARM).ended()).isFalse();
  }

  @Test
  void aLevelThatFallsIsNoEnd() {
    List<FunnelStep> steps = new ArrayList<>();
    for (int m = 0; m <= 12; m += 2) {
      steps.add(new Warmed(at(m), 88, 84));
      steps.add(new Level(at(m), -m));
    }
    assertThat(Purge.of(steps, FUNNEL, WARM).missing()).containsExactly(Missing.LEVEL_MOVES);
  }

  /**
   * Against a circuit simulated apart: never at its end while more than 50 mL still move; within
   * five minutes of the true end in at least nine of ten.
   */
  @Test
  void theEndIsComputedNeitherEarlyNorLate() {
    int runs = Seeds.cases(200, 1000);
    int close = 0;
    for (int seed = 0; seed < runs; seed++) {
      PurgeRun run = new PurgeRun(new Random(seed));
      double computed = Double.NaN;
      double looked = 0;
      while (run.advance() && (Double.isNaN(computed) || Double.isNaN(run.ended()))) {
        boolean ended = false;
        if (Double.isNaN(computed) && run.minute() > looked + 1) {
          looked = run.minute();
          ended = Purge.of(run.steps(), run.funnel(), WARM).ended();
        }
        if (ended) {
          computed = run.minute();
          assertThat(run.trapped()).as("seed " + seed).isLessThan(50);
        }
      }
      if (Math.abs(computed - run.ended()) <= 5) {
        close++;
      }
    }
    assertThat(close).as("close to the true end").isGreaterThanOrEqualTo(9 * runs / 10);
  }
}
