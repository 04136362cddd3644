package gotera.practice;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.evidence.Mode;
import gotera.look.LookState;
import gotera.suspects.Action;
import gotera.suspects.Action.Whole;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Observation;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Vehicles with hidden leaks, and who plays on them. */
class PracticeTests {
  private static PracticeVehicle vehicle(long seed) {
    return PracticeVehicle.of(World.USUAL, new Random(seed));
  }

  @Test
  void theSameSeedIsTheSameVisit() {
    for (World world : List.of(World.USUAL, World.MISTAKES)) {
      AdviceFigures.Run one = AdviceFigures.run(world, 5, 3);
      assertThat(AdviceFigures.run(world, 5, 3)).isEqualTo(one);
    }
  }

  /** Every check that can be proposed is answered, costs minutes, and names places it has. */
  @Test
  void everyCheckIsAnswered() {
    PracticeVehicle vehicle = vehicle(2);
    PracticeBench bench = new PracticeBench(vehicle, new Random(2));
    String place = vehicle.circuit().joints().get(0).code();
    List<Action> all = new ArrayList<>();
    for (LookState state : LookState.values()) {
      all.add(new Action.LookRound(state, List.of()));
      all.add(new Action.Look(place, state, true));
    }
    for (Fluid fluid : Fluid.values()) {
      all.add(new Action.LookAtFluid(fluid));
    }
    all.add(new Action.TryCap("cap.neck"));
    all.add(new Action.CountDrops(place));
    for (Whole whole : Whole.values()) {
      all.add(new Action.OfTheWhole(whole));
    }
    for (Action what : all) {
      double before = bench.minutes();
      boolean nothing = what.is(Whole.REPAIR) || what.is(Whole.LEVEL_WATCH) || what.is(Whole.DONE);
      assertThat(bench.does(what, true).isEmpty()).as("%s", what).isEqualTo(nothing);
      assertThat(bench.minutes()).as("%s", what).isGreaterThanOrEqualTo(before);
    }
  }

  /** What leaks only hot is dry in a cold hold, and what was mended leaks no more. */
  @Test
  void leaksKeepToTheirTime() {
    HiddenLeak hot = new HiddenLeak("pump.gasket", Mode.HEAT, 2);
    assertThat(PracticeVehicle.loses(hot, LookState.PRESSED)).isZero();
    assertThat(PracticeVehicle.loses(hot, LookState.RUNNING)).isOne();
    HiddenLeak turning = new HiddenLeak("pump.shaft-seal", Mode.ROTATION, 2);
    assertThat(PracticeVehicle.loses(turning, LookState.WARM)).isLessThan(0.1);
    long seed = 1;
    while (vehicle(seed).leaks().size() != 1) {
      seed++;
    }
    PracticeVehicle one = vehicle(seed);
    assertThat(one.mend(java.util.Set.of("nothing.at-all"))).isFalse();
    assertThat(one.mend(java.util.Set.of(one.leaks().get(0).place()))).isTrue();
    assertThat(one.leaks()).isEmpty();
  }

  /** A few vehicles of every world: most are found, and nothing is repaired on a tight one. */
  @Test
  void adviceFindsMostAndMendsNoTightVehicle() {
    int found = 0;
    int all = 0;
    for (World world : World.values()) {
      for (AdviceFigures.Run run : AdviceFigures.of(world, 3, 41).runs()) {
        all++;
        found += run.advice().solved() ? 1 : 0;
        if (run.advice().leaks().isEmpty()) {
          assertThat(run.advice().wrong()).as("%s", run.advice().course()).isZero();
        }
        assertThat(run.oracle()).isGreaterThanOrEqualTo(0);
      }
    }
    assertThat(found).as("of %d", all).isGreaterThanOrEqualTo(all * 4 / 5);
    assertThat(AdviceFigures.of(World.USUAL, 1, 41).lines()).hasSize(8);
  }

  /** A repair is held longer each time it is held again in a row, and not after another check. */
  @Test
  void aHoldOfARepairThatIsMadeAgainIsLongerAndQuieter() {
    PracticeBench bench = new PracticeBench(vehicle(4), new Random(4));
    Action again = new Action.OfTheWhole(Whole.RE_TEST);
    double first = noise(bench.does(again, false));
    assertThat(noise(bench.does(again, false))).isLessThan(first);
    bench.does(new Action.LookAtFluid(Fluid.DIPSTICK), false);
    assertThat(noise(bench.does(again, false))).isEqualTo(first);
  }

  private static double noise(List<Observation> seen) {
    Observation.Held held = (Observation.Held) seen.get(0);
    return held.outcome() instanceof Observation.Outcome.Rate r ? r.u() : Double.NaN;
  }

  /** What leaks behind the firewall wets nothing before it. */
  @Test
  void nothingRunsThroughTheFirewall() {
    for (long seed = 1; seed < 400; seed++) {
      PracticeVehicle vehicle = vehicle(seed);
      for (HiddenLeak leak : vehicle.leaks()) {
        if (leak.place().endsWith("heater-core.tubes")) {
          assertThat(vehicle.below(leak))
              .noneMatch(p -> p.startsWith("heater-supply") || p.startsWith("heater-return"));
        }
      }
    }
  }
}
