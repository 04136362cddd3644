package gotera.combustion;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.combustion.GasCheck.Move;
import gotera.combustion.GasCheck.Says;
import gotera.combustion.GasStep.Controlled;
import gotera.combustion.GasStep.Drawing;
import gotera.combustion.GasStep.Drawn;
import gotera.combustion.GasStep.Filled;
import gotera.combustion.GasStep.Flooded;
import gotera.combustion.GasStep.Level;
import gotera.combustion.GasStep.Opened;
import gotera.combustion.GasStep.Read;
import gotera.combustion.GasStep.Stalled;
import gotera.combustion.GasStep.Started;
import gotera.combustion.GasStep.Warmed;
import gotera.coolant.CoolantMixture;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import gotera.warming.NeckLevel;
import gotera.warming.WarmUp.Forecast;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class GasCheckTests {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

  private static Instant minute(double m) {
    return NOON.plusMillis((long) (m * 60_000));
  }

  private static Level level(double at, double gap) {
    return new Level(minute(at), gap, OptionalDouble.of(100), OptionalDouble.empty());
  }

  /** A check as it should be, up to the colour. */
  private static List<GasStep> whole(GasColour colour) {
    return List.of(
        new Filled(minute(0), true),
        level(1, 50),
        new Started(minute(2)),
        new Warmed(minute(6), 40),
        new Opened(minute(18)),
        new Drawing(minute(19)),
        new Drawn(minute(20)),
        new Read(minute(20.1), colour));
  }

  private static GasCheck with(List<GasStep> steps, GasStep... more) {
    List<GasStep> all = new ArrayList<>(steps);
    all.addAll(List.of(more));
    return GasCheck.of(all);
  }

  @Test
  void leadsFromOneMoveToTheNext() {
    List<GasStep> steps = whole(GasColour.BLUE);
    List<Move> moves = new ArrayList<>();
    for (int n = 0; n <= steps.size(); n++) {
      moves.add(GasCheck.of(steps.subList(0, n)).next());
    }
    assertThat(moves)
        .containsExactly(
            Move.FILL,
            Move.DRAW_DOWN,
            Move.START,
            Move.WARM_UP,
            Move.WARM_UP,
            Move.DRAW,
            Move.KEEP_DRAWING,
            Move.READ,
            Move.CONTROL);
    assertThat(with(steps, new Controlled(minute(22), true)).next()).isEqualTo(Move.DONE);
  }

  @Test
  void blueCountsOnlyOnceTheExhaustHasTurnedIt() {
    assertThat(GasCheck.of(whole(GasColour.BLUE)).says()).isEqualTo(Says.OPEN);
    assertThat(with(whole(GasColour.BLUE), new Controlled(minute(22), true)).says())
        .isEqualTo(Says.NO_GAS);
    GasCheck spent = with(whole(GasColour.BLUE), new Controlled(minute(22), false));
    assertThat(spent.says()).isEqualTo(Says.DOES_NOT_COUNT);
    assertThat(spent.notCounted()).containsExactly(NotCounted.NO_CONTROL);
    assertThat(spent.next()).as("with fresh fluid").isEqualTo(Move.FILL);
  }

  @Test
  void aColourNeedsNoControl() {
    GasCheck yellow = GasCheck.of(whole(GasColour.YELLOW));
    assertThat(yellow.says()).isEqualTo(Says.GAS);
    assertThat(yellow.next()).isEqualTo(Move.DONE);
    Close.to("drawn down, mL", yellow.used().out(), 100, 0);
  }

  @Nested
  class DoesNotCount {
    private void because(NotCounted reason, Function<GasStep, GasStep> change) {
      List<GasStep> steps = new ArrayList<>();
      for (GasStep step : whole(GasColour.YELLOW)) {
        GasStep changed = change.apply(step);
        if (changed != null) {
          steps.add(changed);
        }
      }
      GasCheck check = GasCheck.of(steps);
      assertThat(check.says()).isEqualTo(Says.DOES_NOT_COUNT);
      assertThat(check.notCounted()).containsExactly(reason);
    }

    @Test
    void fluidThatWasNotBlue() {
      because(
          NotCounted.FLUID_NOT_BLUE, s -> s instanceof Filled f ? new Filled(f.at(), false) : s);
      because(NotCounted.FLUID_NOT_BLUE, s -> s instanceof Filled ? null : s);
    }

    @Test
    void anEngineWhoseThermostatHadNotOpened() {
      because(NotCounted.ENGINE_COLD, s -> s instanceof Opened ? null : s);
      because(NotCounted.ENGINE_COLD, s -> s instanceof Opened ? new Opened(minute(19.5)) : s);
      because(NotCounted.ENGINE_COLD, s -> s instanceof Started ? null : s);
    }

    @Test
    void lessThanAFullMinute() {
      because(NotCounted.TOO_SHORT, s -> s instanceof Drawn ? new Drawn(minute(19.9)) : s);
      because(NotCounted.TOO_SHORT, s -> s instanceof Drawing ? null : s);
    }

    @Test
    void aBulbThatStoodAgainstAVacuum() {
      List<GasStep> steps = new ArrayList<>(whole(GasColour.BLUE));
      steps.add(6, new Stalled(minute(19.4)));
      GasCheck stalled = GasCheck.of(steps);
      assertThat(stalled.notCounted()).contains(NotCounted.BULB_AGAINST_VACUUM);
      assertThat(stalled.says()).isEqualTo(Says.DOES_NOT_COUNT);
    }

    @Test
    void aStallIsMendedByDrawingAnew() {
      List<GasStep> steps = new ArrayList<>(whole(GasColour.YELLOW));
      steps.add(new Stalled(minute(18.5)));
      assertThat(GasCheck.of(steps).says()).isEqualTo(Says.GAS);
    }

    @Test
    void fluidThatCoolantReachedUntilItIsRenewed() {
      GasCheck flooded =
          GasCheck.of(
              List.of(
                  new Filled(minute(0), true),
                  level(1, 20),
                  new Started(minute(2)),
                  new Opened(minute(18)),
                  new Drawing(minute(19)),
                  new Flooded(minute(19.5))));
      assertThat(flooded.says()).isEqualTo(Says.DOES_NOT_COUNT);
      assertThat(flooded.next()).isEqualTo(Move.FILL);
      List<GasStep> again = new ArrayList<>(whole(GasColour.BLUE));
      again.addAll(
          List.of(
              new Flooded(minute(19.5)),
              new Filled(minute(25), true),
              level(26, 70),
              new Drawing(minute(27)),
              new Drawn(minute(28)),
              new Read(minute(28.1), GasColour.BLUE),
              new Controlled(minute(29), true)));
      GasCheck second = GasCheck.of(again);
      assertThat(second.says()).isEqualTo(Says.NO_GAS);
      assertThat(second.used().fillings()).isEqualTo(2);
      assertThat(GasCheck.fillings(again)).extracting(GasCheck::says).contains(Says.DOES_NOT_COUNT);
    }
  }

  @Test
  void theOrderInWhichStepsWereWrittenDoesNotMatter() {
    Seeds.of(20)
        .forEach(
            random -> {
              List<GasStep> steps = new ArrayList<>(whole(GasColour.BLUE));
              steps.add(new Controlled(minute(22), true));
              GasCheck expected = GasCheck.of(steps);
              Collections.shuffle(steps, random);
              assertThat(GasCheck.of(steps)).isEqualTo(expected);
            });
  }

  /** Whatever is pressed in whatever order, there is a next move, and nothing counts by chance. */
  @Test
  void anythingInAnyOrderHasANextMove() {
    Seeds.of(500)
        .forEach(
            random -> {
              List<GasStep> steps = new ArrayList<>();
              for (int i = 0; i < random.nextInt(14); i++) {
                steps.add(any(random, minute(i * random.nextDouble() * 2)));
              }
              GasCheck check = GasCheck.of(steps);
              assertThat(check.next()).isNotNull();
              if (check.says() == Says.NO_GAS) {
                assertThat(steps).hasAtLeastOneElementOfType(Controlled.class);
              }
              if (check.says() == Says.GAS || check.says() == Says.NO_GAS) {
                assertThat(steps).hasAtLeastOneElementOfType(Opened.class);
                assertThat(steps).hasAtLeastOneElementOfType(Drawing.class);
                assertThat(steps).hasAtLeastOneElementOfType(Filled.class);
              }
            });
  }

  private static GasStep any(Random random, Instant at) {
    return switch (random.nextInt(11)) {
      case 0 -> new Filled(at, random.nextBoolean());
      case 1 -> new Level(at, random.nextInt(80), OptionalDouble.empty(), OptionalDouble.empty());
      case 2 -> new Started(at);
      case 3 -> new Warmed(at, 20 + random.nextInt(80));
      case 4 -> new Opened(at);
      case 5 -> new Drawing(at);
      case 6 -> new Drawn(at);
      case 7 -> new Stalled(at);
      case 8 -> new Flooded(at);
      case 9 -> new Read(at, GasColour.values()[random.nextInt(3)]);
      default -> new Controlled(at, random.nextBoolean());
    };
  }

  @Test
  void theLevelReachesTheTesterSoonerFromASmallerGap() {
    NeckLevel neck = new NeckLevel(8000, new CoolantMixture(0.5), 16);
    double before = Double.POSITIVE_INFINITY;
    for (double gap : new double[] {70, 50, 30, 10}) {
      List<GasStep> steps =
          List.of(
              new Filled(minute(0), true),
              new Started(minute(1)),
              new Warmed(minute(4), 50),
              new Warmed(minute(6), 60),
              new Level(minute(6), gap, OptionalDouble.empty(), OptionalDouble.empty()));
      Forecast reached = GasForecast.reaches(steps, neck).orElseThrow();
      assertThat(reached.minutes()).isLessThan(before);
      assertThat(reached.u()).isPositive();
      before = reached.minutes();
    }
  }

  @Test
  void aLevelThatClimbsFasterThanItWarmsIsPushed() {
    NeckLevel neck = new NeckLevel(6000, new CoolantMixture(0.5), 16);
    List<GasStep> steps = new ArrayList<>();
    steps.add(new Filled(minute(0), true));
    steps.add(new Started(minute(1)));
    steps.add(new Warmed(minute(1), 20));
    steps.add(new Warmed(minute(5), 36));
    steps.add(level(5, 60));
    assertThat(GasForecast.climb(steps, neck)).as("one level tells nothing").isEmpty();
    double soon = GasForecast.reaches(steps, neck).orElseThrow().minutes();
    steps.add(new Level(minute(8), 50, OptionalDouble.empty(), OptionalDouble.empty()));
    assertThat(GasForecast.climb(steps, neck).orElseThrow().faster()).isFalse();
    assertThat(GasForecast.reaches(steps, neck).orElseThrow().minutes())
        .as("little of the coolant warms")
        .isGreaterThan(soon);
    steps.add(new Level(minute(10), 15, OptionalDouble.empty(), OptionalDouble.empty()));
    assertThat(GasForecast.climb(steps, neck).orElseThrow().faster()).isTrue();
  }
}
