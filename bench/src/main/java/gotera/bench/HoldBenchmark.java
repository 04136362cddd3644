package gotera.bench;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.TestPlan;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.Outcome;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** From a curve to a verdict, and a plan before there is a curve. Curves are simulated. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class HoldBenchmark {
  private static final double RATED = 110;

  private PressureTest dense;
  private PressureTest byHand;
  private TestPlan plan;

  /** Makes the curves. */
  @SuppressWarnings("NullAway.Init")
  public HoldBenchmark() {}

  /** An hour at ten readings a second with temperatures, and twelve readings by hand. */
  @Setup
  public void make() {
    dense = test(3600, 0.1);
    byHand = test(12 * 60, 60);
    plan =
        TestPlan.forSystem(
            gauge(),
            0.5,
            new AirAndHoses(new Volume(150), 0.3, 0.06, AirAndHoses.Source.MEASURED),
            new GaugePressure(RATED),
            AbsolutePressure.STANDARD_ATMOSPHERE,
            new Volume(8000),
            new CoolantMixture(0.5),
            20,
            0,
            0.005,
            Optional.of(new Thermometer(0.1, 0.05)));
  }

  /** 36 000 readings. */
  @Benchmark
  public PressureTestResult denseTrace() {
    return dense.analyse();
  }

  /** 12 readings. */
  @Benchmark
  public PressureTestResult twelveReadings() {
    return byHand.analyse();
  }

  /** The shortest hold for a sign-off. */
  @Benchmark
  public OptionalDouble shortestHold() {
    return plan.shortest(0.1);
  }

  private static Gauge gauge() {
    return new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.05, true);
  }

  private static PressureTest test(double seconds, double every) {
    StandInVehicle vehicle =
        new StandInVehicle(
            new SystemUnderTest(120, 6000, 0.26, 0.03, 90, 4.2e-4, 0.76),
            List.of(Leak.seep(0.2, RATED)),
            new Instruments(0.1, 0.05, 0.1, 0.05));
    Outcome outcome =
        vehicle.run(new Hold(RATED, 20, seconds, Math.max(every, 0.25), 18, -0.01), new Random(3));
    return new PressureTest(
        every < 0.25 ? denser(outcome.trace(), every) : outcome.trace(), conditions(outcome));
  }

  /** The simulation steps by a quarter of a second: readings between are drawn from its line. */
  private static gotera.pressure.trace.Trace denser(
      gotera.pressure.trace.Trace trace, double every) {
    Random random = new Random(5);
    var builder = gotera.pressure.trace.Trace.builder();
    trace.events().forEach(builder::event);
    int at = 0;
    for (int i = 0; i * every <= trace.seconds(trace.size() - 1); i++) {
      double t = i * every;
      while (at < trace.size() - 2 && trace.seconds(at + 1) < t) {
        at++;
      }
      double share = (t - trace.seconds(at)) / (trace.seconds(at + 1) - trace.seconds(at));
      double gauge = trace.gauge(at) * (1 - share) + trace.gauge(at + 1) * share;
      builder.reading(t, gauge + 0.03 * random.nextGaussian(), trace.celsius(at));
    }
    return builder.build();
  }

  private static HoldConditions conditions(Outcome outcome) {
    return new HoldConditions(
        new HoldConditions.Limits(
            new GaugePressure(RATED),
            new TestLimit(new GaugePressure(RATED), TestLimit.Source.CAP),
            Acceptance.of(Acceptance.Purpose.REPAIR),
            Optional.empty()),
        new HoldConditions.Surroundings(
            AbsolutePressure.STANDARD_ATMOSPHERE, Temperature.ofCelsius(18), new Soak.Unknown()),
        new HoldConditions.FilledSystem(
            new Volume(6000),
            new CoolantMixture(0.5),
            new AirAndHoses(
                new Volume(outcome.gasAtHold()), 0.28, 0.05, AirAndHoses.Source.MEASURED),
            Medium.LIQUID),
        new HoldConditions.Instruments(
            gauge(), Optional.of(new Thermometer(0.1, 0.05)), HoldConditions.OwnLeak.NONE),
        HoldConditions.Course.of(
            new HoldConditions.Pumping(OptionalDouble.of(20), new GaugePressure(0))));
  }
}
