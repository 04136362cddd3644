package gotera.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Trace;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import gotera.testkit.Close;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class StandInVehicleTests {
  private static final Instruments EXACT = new Instruments(1e-6, 0, 1e-6, 0);
  private static final SystemUnderTest STIFF =
      new SystemUnderTest(200, 8000, 0.3, 0, 90, 4.2e-4, 0);
  private static final Hold COLD = new Hold(110, 20, 900, 30, 18, 0);

  @Test
  void withoutLeakAndDriftThePressureStands() {
    Trace trace = run(STIFF, List.of(), COLD).trace();
    double settled = trace.gauge(5);
    Close.to("end (kPa)", trace.gauge(trace.size() - 1), settled, 0.02);
  }

  @Test
  void whatLeaksIsWhatTheRateAndTheTimeSay() {
    StandInVehicle.Outcome outcome = run(STIFF, List.of(Leak.seep(0.4, 110)), COLD);
    // the pressure falls by some 6 %, so a little less than 15 min at 0.4 mL/min
    assertThat(outcome.lost()).isBetween(5.5, 6.0);
  }

  @Test
  void leaksAddUp() {
    double one = run(STIFF, List.of(Leak.seep(0.2, 110)), COLD).lost();
    double two = run(STIFF, List.of(Leak.seep(0.1, 110), Leak.seep(0.1, 110)), COLD).lost();
    Close.to("lost (mL)", two, one, 1e-9);
  }

  @Test
  void aLeakThatShutsStopsThere() {
    Leak lip = new Leak(5, 110, 1, 104);
    Trace trace = run(STIFF, List.of(lip), new Hold(110, 20, 3600, 60, 18, 0)).trace();
    Close.to("end (kPa)", trace.gauge(trace.size() - 1), 104, 0.2);
  }

  @Test
  void coolingLooksLikeALossAndWarmingHidesOne() {
    double cooling = end(STIFF, new Hold(110, 20, 600, 60, 18, -0.05));
    double steady = end(STIFF, new Hold(110, 20, 600, 60, 18, 0));
    double warming = end(STIFF, new Hold(110, 20, 600, 60, 18, 0.05));
    assertThat(cooling).isLessThan(steady - 0.5);
    assertThat(warming).isGreaterThan(steady + 0.5);
  }

  @Test
  void theSameLeakDropsTheNeedleFasterWhereThereIsLessAir() {
    List<Leak> leak = List.of(Leak.seep(0.4, 110));
    SystemUnderTest brimful = new SystemUnderTest(40, 8000, 0.3, 0, 90, 4.2e-4, 0);
    Trace little = run(brimful, leak, COLD).trace();
    Trace much = run(STIFF, leak, COLD).trace();
    assertThat(little.gauge(little.size() - 1)).isLessThan(much.gauge(much.size() - 1) - 2);
  }

  @Test
  void creepingHosesSettleWithoutLosingAnything() {
    SystemUnderTest creeping = new SystemUnderTest(200, 8000, 0.27, 0.05, 90, 4.2e-4, 0);
    StandInVehicle.Outcome outcome = run(creeping, List.of(), COLD);
    Close.to("lost (mL)", outcome.lost(), 0, 0);
    assertThat(outcome.truePressure()).isLessThan(108);
  }

  @Test
  void aDrawLowersThePressureByTheComplianceOfAirAndHoses() {
    double[] step = new StandInVehicle(STIFF, List.of(), EXACT).draw(COLD, 2, new Random(1));
    StandInVehicle.Outcome outcome = run(STIFF, List.of(), COLD);
    double compliance = 0.3 + outcome.gasAtHold() / (step[0] + 101.325);
    Close.to("step (kPa)", step[0] - step[1], 2 / compliance, 0.03);
  }

  @Test
  void theSameSeedGivesTheSameTrace() {
    Instruments noisy = new Instruments(0.1, 0.05, 0.1, 0.05);
    StandInVehicle vehicle = new StandInVehicle(STIFF, List.of(Leak.orifice(1, 110)), noisy);
    Trace first = vehicle.run(COLD, new Random(9)).trace();
    Trace second = vehicle.run(COLD, new Random(9)).trace();
    for (int i = 0; i < first.size(); i++) {
      assertThat(first.gauge(i)).isEqualTo(second.gauge(i));
    }
  }

  private static double end(SystemUnderTest system, Hold hold) {
    return run(system, List.of(), hold).truePressure();
  }

  private static StandInVehicle.Outcome run(SystemUnderTest system, List<Leak> leaks, Hold hold) {
    return new StandInVehicle(system, leaks, EXACT).run(hold, new Random(1));
  }
}
