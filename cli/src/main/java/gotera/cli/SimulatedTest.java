package gotera.cli;

import gotera.cap.TestLimit;
import gotera.pressure.EarlyClaim;
import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.TestPlan;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Volume;
import gotera.uncertainty.DecisionLimits;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * One test of a simulated vehicle whose truth is known, told in what counts.
 *
 * @param off by how many standard uncertainties the truth is above its rate; empty without a rate
 *     that counts
 * @param tight whether it was called tight
 * @param leak whether it was called a leak, gross or not
 * @param planned whether its plan sufficed
 * @param missing words of the conditions that were not met
 */
record SimulatedTest(
    OptionalDouble off, boolean tight, boolean leak, boolean planned, List<String> missing) {
  /** Whether its 95 % interval covers the truth. */
  boolean covered() {
    return off.isPresent() && Math.abs(off.getAsDouble()) <= DecisionLimits.TWO_SIDED;
  }

  /** Whether it gave a rate that counts. */
  boolean hasRate() {
    return off.isPresent();
  }

  /** A leak of any size. */
  static final double OTHER_SIZE = -1;

  /** Relative standard uncertainty of what a plug check says of the tester (1) (our judgement). */
  private static final double PLUG_U = 0.2;

  /** A hold that is watched (min). */
  private static final double LONG_HOLD = 30;

  /** Makes and judges one test. */
  static SimulatedTest of(Cell cell, double size, Random random) {
    Chance chance = new Chance(random);
    SimulatedRun run = SimulatedRun.of(cell, size, chance);
    return judged(run, MeasuredAir.of(run, chance));
  }

  /**
   * The same of a kind of vehicle.
   *
   * @param millilitres what leaks (mL/min); empty for a multiple of what is accepted
   */
  static SimulatedTest of(
      Kind kind, Way way, double size, OptionalDouble millilitres, Random random) {
    Chance chance = new Chance(random);
    SimulatedRun run = SimulatedRun.of(kind, way, size, millilitres, chance);
    return judged(run, MeasuredAir.of(run, chance));
  }

  /** What would be claimed of a hold of 30 minutes before its end. */
  static Optional<EarlyClaim> early(Cell cell, double size, Random random) {
    Chance chance = new Chance(random);
    SimulatedRun run = SimulatedRun.of(cell, size, LONG_HOLD, chance);
    return EarlyClaim.first(
        run.outcome().trace(), conditions(run, MeasuredAir.of(run, chance), Optional.empty()));
  }

  private static SimulatedTest judged(SimulatedRun run, AirAndHoses air) {
    PressureTestResult result =
        new PressureTest(run.outcome().trace(), conditions(run, air, closing(run))).analyse();
    Optional<Rate> rate =
        result.verdict() == VerdictKind.NOT_COUNTED ? Optional.empty() : result.rate();
    return new SimulatedTest(
        rate.stream().mapToDouble(q -> (run.truth().leak() - q.rate()) / q.u()).findFirst(),
        result.verdict() == VerdictKind.TIGHT,
        result.verdict() == VerdictKind.LEAK || result.verdict() == VerdictKind.GROSS,
        rate.filter(q -> planned(run, air, q)).isPresent(),
        result.reasons().stream().map(r -> r.code().word()).toList());
  }

  private static boolean planned(SimulatedRun run, AirAndHoses air, Rate rate) {
    if (run.recovering()) {
      // the plan says to wait
      return false;
    }
    double minutes = run.course().minutes();
    return new TestPlan(
            run.gauge(),
            Math.max(run.read().every() / 60, minutes / 400),
            air,
            run.dry(),
            run.course().rated(),
            rate.thermalSensitivity(),
            rate.drift(),
            rate.driftU(),
            Optional.empty())
        .pressed(run.course().pressed())
        .enough(minutes, run.purpose().usual());
  }

  private static HoldConditions conditions(
      SimulatedRun run, AirAndHoses air, Optional<Draw> closing) {
    double rated = run.course().rated();
    return new HoldConditions(
        new HoldConditions.Limits(
            new GaugePressure(rated),
            new TestLimit(
                new GaugePressure(rated * (run.recovering() ? 1.5 : 1) + 8),
                TestLimit.Source.MAKER_TEST_PRESSURE),
            new Acceptance(run.purpose(), run.purpose().usual()),
            Optional.empty()),
        new HoldConditions.Surroundings(
            new AbsolutePressure(SimulatedRun.ATMOSPHERE),
            run.temperature(),
            run.read().overnight() ? new Soak.Overnight() : new Soak.Unknown()),
        new HoldConditions.FilledSystem(
            new Volume(run.filled().liquid()), SimulatedRun.Filled.coolant(), air, Medium.LIQUID),
        new HoldConditions.Instruments(
            run.gauge(),
            run.read().seen() ? Optional.of(new Thermometer(0.1, 0.05)) : Optional.empty(),
            ownLeak(run)),
        course(run, closing));
  }

  /** As it was measured at its plug. */
  private static HoldConditions.OwnLeak ownLeak(SimulatedRun run) {
    double own = run.truth().own();
    return new HoldConditions.OwnLeak(new LeakRate(own), PLUG_U * own);
  }

  private static Optional<Draw> closing(SimulatedRun run) {
    double[] closing = run.outcome().draws()[0];
    return closing[0] > closing[1]
        ? Optional.of(
            new Draw(
                new Volume(SimulatedRun.CLOSING),
                new GaugePressure(closing[0]),
                new GaugePressure(closing[1])))
        : Optional.empty();
  }

  private static HoldConditions.Course course(SimulatedRun run, Optional<Draw> closing) {
    OptionalDouble shut =
        OptionalDouble.of(
            run.outcome().trace().last(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds());
    return new HoldConditions.Course(
        new HoldConditions.Pumping(shut, new GaugePressure(0)),
        List.of(),
        run.recovering() ? OptionalDouble.of(1) : OptionalDouble.empty(),
        closing,
        Optional.empty());
  }
}
