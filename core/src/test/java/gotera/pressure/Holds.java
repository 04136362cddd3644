package gotera.pressure;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.pressure.HoldConditions.OwnLeak;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Consumer;

/** Holds on the stand-in vehicle, for tests. Everything here is simulated. */
final class Holds {
  static final double RATED = 110;

  private Holds() {}

  static StandInVehicle vehicle(double leak, double freeAir) {
    return new StandInVehicle(
        new SystemUnderTest(freeAir, 6000, 0.26, 0.03, 90, 4.2e-4, 0.76),
        leak > 0 ? List.of(Leak.seep(leak, RATED)) : List.of(),
        new Instruments(0.1, 0.05, 0.1, 0.05));
  }

  static Hold minutes(double minutes, double every) {
    return new Hold(RATED, 20, minutes * 60, every, 18, -0.01);
  }

  /** What a careful technician would have entered: true air within its stated uncertainty. */
  static HoldConditions conditions(double gasAtHold, double errorOfAir) {
    return of(
        RATED,
        new AirAndHoses(
            new Volume(gasAtHold * errorOfAir), 0.28, 0.05, AirAndHoses.Source.MEASURED),
        new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.05, true),
        Optional.of(new Thermometer(0.1, 0.05)),
        new Soak.Unknown(),
        20);
  }

  /** A repair check of six litres at a pressure (kPa). */
  static HoldConditions of(
      double rated,
      AirAndHoses gives,
      Gauge gauge,
      Optional<Thermometer> thermometer,
      Soak soak,
      double pumpedUntil) {
    return new HoldConditions(
        new HoldConditions.Limits(
            new GaugePressure(rated),
            new TestLimit(new GaugePressure(rated), TestLimit.Source.CAP),
            new Acceptance(Purpose.REPAIR, 0.3),
            Optional.empty()),
        new HoldConditions.Surroundings(
            AbsolutePressure.STANDARD_ATMOSPHERE, Temperature.ofCelsius(18), soak),
        new HoldConditions.FilledSystem(
            new Volume(6000), new CoolantMixture(0.5), gives, Medium.LIQUID),
        new HoldConditions.Instruments(gauge, thermometer, HoldConditions.OwnLeak.NONE),
        HoldConditions.Course.of(
            new HoldConditions.Pumping(OptionalDouble.of(pumpedUntil), new GaugePressure(0))));
  }

  static PressureTestResult analyse(double leak, double minutes, double every, Random random) {
    StandInVehicle vehicle = vehicle(leak, 120);
    StandInVehicle.Outcome outcome = vehicle.run(minutes(minutes, every), random, 2);
    double[] closing = outcome.draws()[0];
    double error = 1 + 0.04 * random.nextGaussian();
    HoldConditions conditions =
        edited(
            conditions(outcome.gasAtHold(), error),
            e ->
                e.closingDraw =
                    Optional.of(
                        new Draw(
                            new Volume(2),
                            new GaugePressure(closing[0]),
                            new GaugePressure(closing[1]))));
    return new PressureTest(outcome.trace(), conditions).analyse();
  }

  /** The same hold with something changed. */
  static HoldConditions edited(HoldConditions conditions, Consumer<Edit> change) {
    Edit edit = new Edit(conditions);
    change.accept(edit);
    return edit.done();
  }

  /** What tests change about a hold. */
  static final class Edit {
    private final HoldConditions c;
    AirAndHoses airAndHoses;
    Optional<Thermometer> thermometer;
    Acceptance acceptance;
    Optional<MakerRule> makerRule;
    double pumpedUntil;
    Optional<Draw> closingDraw;
    List<HoldConditions.EarlierHold> earlier;
    Medium medium;
    Volume liquid;
    Gauge gauge;
    double limit;
    CoolantMixture coolant;
    OwnLeak ownLeak;

    private Edit(HoldConditions c) {
      this.c = c;
      airAndHoses = c.airAndHoses();
      thermometer = c.thermometer();
      acceptance = c.acceptance();
      makerRule = c.makerRule();
      pumpedUntil = c.pumping().until().orElse(0);
      closingDraw = c.closingDraw();
      earlier = c.earlier();
      medium = c.medium();
      liquid = c.liquid();
      gauge = c.gauge();
      limit = c.limit().pressure().kilopascals();
      coolant = c.coolant();
      ownLeak = c.ownLeak();
    }

    private HoldConditions done() {
      return new HoldConditions(
          new HoldConditions.Limits(
              c.rated(),
              new TestLimit(new GaugePressure(limit), c.limit().source()),
              acceptance,
              makerRule),
          c.surroundings(),
          new HoldConditions.FilledSystem(liquid, coolant, airAndHoses, medium),
          new HoldConditions.Instruments(gauge, thermometer, ownLeak),
          new HoldConditions.Course(
              new HoldConditions.Pumping(OptionalDouble.of(pumpedUntil), c.pumping().from()),
              earlier,
              c.disturbedMinutesBefore(),
              closingDraw,
              c.window()));
    }
  }
}
