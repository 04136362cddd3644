package gotera.bubble;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.bubble.Funnel.Says;
import gotera.bubble.FunnelStep.Bubbles;
import gotera.bubble.FunnelStep.Burst;
import gotera.bubble.FunnelStep.Level;
import gotera.bubble.FunnelStep.Moved;
import gotera.bubble.FunnelStep.Size;
import gotera.bubble.FunnelStep.Squeezed;
import gotera.bubble.FunnelStep.ToppedUp;
import gotera.bubble.FunnelStep.Warmed;
import gotera.coolant.CoolantMixture;
import gotera.simulation.EngineRun;
import gotera.simulation.EngineRun.Truth;
import gotera.testkit.Close;
import gotera.warming.NeckLevel;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FunnelTests {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
  private static final NeckLevel FUNNEL = new NeckLevel(7000, new CoolantMixture(0.5), 60);

  private static Instant minute(double m) {
    return NOON.plusMillis((long) (m * 60_000));
  }

  /** Both hoses at a temperature, from the beginning to the end. */
  private static List<FunnelStep> warm(double celsius, double until) {
    List<FunnelStep> steps = new ArrayList<>();
    for (double m = 0; m <= until; m += until / 4) {
      steps.add(new Warmed(minute(m), celsius, celsius - 2));
    }
    return steps;
  }

  private static void bubbles(List<FunnelStep> steps, Size size, double from, double to, int n) {
    for (int i = 0; i < n; i++) {
      steps.add(new Bubbles(minute(from + (to - from) * (i + 0.5) / n), size, 1));
    }
  }

  /** Worked by hand: 3.29 · √2 · 1 mm · 100 cm² ÷ 5 mL/min. */
  @Test
  void tenMinutesAreUsualForAReason() {
    Close.to("minutes", Funnel.apart(1, 100, 5), 9.3, 0.05);
  }

  @Test
  void coldHosesDoNotCount() {
    List<FunnelStep> steps = warm(35, 12);
    steps.add(new Level(minute(0), 0));
    steps.add(new Level(minute(12), 0));
    bubbles(steps, Size.PEA, 0, 12, 300);
    assertThat(Funnel.of(steps, FUNNEL).says()).isEqualTo(Says.NOT_HOT);
  }

  @Test
  void aLevelThatStandsWhileBubblesGoOnIsGas() {
    List<FunnelStep> steps = warm(88, 12);
    steps.add(new Level(minute(0), 3));
    steps.add(new Level(minute(12), 3));
    bubbles(steps, Size.PEA, 0, 12, 1200);
    Funnel funnel = Funnel.of(steps, FUNNEL);
    assertThat(funnel.says()).isEqualTo(Says.GAS_ENTERING);
    Close.to("gas, mL/min", funnel.bubbles(), 10, 1e-9);
    Close.to("net, mL/min", funnel.rate(), 0, 0.05);
    assertThat(funnel.least().orElseThrow()).isLessThan(12);
  }

  @Test
  void aLevelThatFallsWithTheBubblesIsAir() {
    List<FunnelStep> steps = warm(88, 12);
    steps.add(new Level(minute(0), 0));
    steps.add(new Level(minute(12), -20));
    bubbles(steps, Size.PEA, 0, 12, 1200);
    assertThat(Funnel.of(steps, FUNNEL).says()).isEqualTo(Says.AIR_LEAVING);
  }

  @Test
  void topUpsMarksAndSqueezesAreReckonedWith() {
    List<FunnelStep> steps = warm(88, 20);
    steps.add(new Level(minute(0), 0));
    steps.add(new Level(minute(5), -10));
    steps.add(new ToppedUp(minute(5.1), 60));
    steps.add(new Level(minute(6), 0));
    steps.add(new Moved(minute(6.1)));
    steps.add(new Level(minute(12), 0));
    steps.add(new Squeezed(minute(12.5)));
    steps.add(new Level(minute(13), 25));
    steps.add(new Level(minute(20), 25));
    Funnel funnel = Funnel.of(steps, FUNNEL);
    Close.to("minutes of level", funnel.minutes(), 6 + 5.9 + 7, 0.01);
    Close.to("net, mL/min", funnel.rate(), -60 / 18.9, 0.1);
  }

  @Test
  void aRisingLevelAndABurstAreSerious() {
    List<FunnelStep> steps = warm(88, 12);
    steps.add(new Level(minute(0), 0));
    steps.add(new Level(minute(12), 15));
    assertThat(Funnel.of(steps, FUNNEL).says()).isEqualTo(Says.GAS_COLLECTING);
    List<FunnelStep> burst = warm(88, 3);
    burst.add(new Burst(minute(2)));
    assertThat(Funnel.of(burst, FUNNEL).says()).isEqualTo(Says.GAS_COLLECTING);
  }

  @Test
  void quietTakesTenMinutesAndTemperaturesAtBothEnds() {
    List<FunnelStep> steps = warm(88, 11);
    steps.add(new Level(minute(0), 0));
    steps.add(new Level(minute(11), 0));
    assertThat(Funnel.of(steps, FUNNEL).says()).isEqualTo(Says.QUIET);
    assertThat(Funnel.of(steps.subList(5, 7), FUNNEL).says()).isEqualTo(Says.NOT_HOT);
    List<FunnelStep> once = new ArrayList<>(steps.subList(5, 7));
    once.add(new Warmed(minute(0), 88, 86));
    assertThat(Funnel.of(once, FUNNEL).says()).isEqualTo(Says.READ_AGAIN);
    List<FunnelStep> warming = new ArrayList<>(once);
    warming.add(new Warmed(minute(10), 98, 96));
    assertThat(Funnel.of(warming, FUNNEL).says()).isEqualTo(Says.NOT_STEADY);
  }

  /** A thousand checks of simulated engines. */
  @Test
  void isRightOfEnginesThatAreSimulatedApart() {
    Random random = new Random(41);
    int counted = 0;
    int right = 0;
    int[][] table = new int[Truth.values().length][Says.values().length];
    for (int i = 0; i < 1000; i++) {
      Truth truth = Truth.values()[i % Truth.values().length];
      EngineRun run = new EngineRun(random, truth).until(8 + 17 * random.nextDouble());
      Says says = Funnel.of(run.steps(), run.funnel()).says();
      table[truth.ordinal()][says.ordinal()]++;
      if (says.counts()) {
        counted++;
        right += is(truth, says) ? 1 : 0;
      }
    }
    String seen = java.util.Arrays.deepToString(table);
    assertThat(counted).as("of 1000 that count " + seen).isGreaterThan(600);
    assertThat(right / (double) counted).as("right " + seen).isGreaterThanOrEqualTo(0.95);
    int[] air = table[Truth.AIR_LEAVES.ordinal()];
    assertThat(air[Says.GAS_ENTERING.ordinal()] + air[Says.GAS_COLLECTING.ordinal()])
        .as("gas from air that leaves " + seen)
        .isZero();
  }

  private static boolean is(Truth truth, Says says) {
    return switch (truth) {
      case QUIET -> says == Says.QUIET;
      case AIR_LEAVES -> says == Says.AIR_LEAVING || says == Says.QUIET; // it has left
      case GAS_ENTERS -> says == Says.GAS_ENTERING;
      case GAS_COLLECTS -> says == Says.GAS_COLLECTING;
    };
  }
}
