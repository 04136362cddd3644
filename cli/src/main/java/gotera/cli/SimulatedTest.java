package gotera.cli;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.coolant.Expansion;
import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.TestPlan;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.compliance.MeasuredCompliance;
import gotera.pressure.compliance.Strokes;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.Otherwise;
import gotera.simulation.StandInVehicle.Outcome;
import gotera.simulation.StandInVehicle.Stage;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * One test of a simulated vehicle whose truth is known, told in what counts.
 *
 * @param covered whether its 95 % interval covers the truth
 * @param hasRate whether it gave a rate that counts
 * @param tight whether it was called tight
 * @param leak whether it was called a leak
 * @param planned whether its plan sufficed
 * @param missing words of the conditions that were not met
 */
record SimulatedTest(
    boolean covered,
    boolean hasRate,
    boolean tight,
    boolean leak,
    boolean planned,
    List<String> missing) {
  /** A leak of any size. */
  static final double OTHER_SIZE = -1;

  private static final double ATMOSPHERE = 101.325;
  private static final double STRENGTH = 0.5;
  private static final double R = 0.06;

  /** As a description without a figure of its own has it. */
  private static final MeasuredCompliance.HosePrior HOSE =
      new MeasuredCompliance.HosePrior(Geometry.USUAL_HOSE, 0.3 * Geometry.USUAL_HOSE);

  /** Kinds of tests; the rest of each run is drawn at random. */
  enum Cell {
    LOGGER("logger, 1 to 10 Hz, 15 to 30 min"),
    DIGITAL("digits read each minute, 12 to 30 min"),
    NEEDLE("needle of 1.7 to 3.4 kPa, 10 to 30 min"),
    FEW("two to six readings, 5 to 20 min"),
    SHORT("a reading a second, 5 to 8 min"),
    UNSEEN("no thermometer, overnight or unknown"),
    ORIFICE("leaks are orifices"),
    SHUTTING("leaks shut at 30 to 95 % of the rating"),
    STUCK("needle sticks by 1 to 6 kPa"),
    SQUEEZED("someone leans on a hose"),
    FULL("brim-full, 30 to 60 mL of air"),
    AIRY("300 to 500 mL of air"),
    RECOVERING("hoses recover from a higher pressure"),
    DRAWN("air and hoses by one or two draws"),
    COUNTED("air and hoses by counted strokes");

    final String words;

    Cell(String words) {
      this.words = words;
    }
  }

  private static double between(Random random, double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  private static double logBetween(Random random, double low, double high) {
    return Math.exp(between(random, Math.log(low), Math.log(high)));
  }

  /**
   * Makes and judges one test.
   *
   * @param other whether vehicle and instruments do what the estimator does not assume
   */
  static SimulatedTest of(Cell cell, double size, boolean other, Random random) {
    double rated = between(random, 90, 140);
    double minutes =
        switch (cell) {
          case LOGGER -> between(random, 15, 30);
          case DIGITAL -> between(random, 12, 30);
          case NEEDLE -> between(random, 10, 30);
          case FEW -> between(random, 5, 20);
          case SHORT -> between(random, 5, 8);
          default -> between(random, 8, 30);
        };
    double every =
        switch (cell) {
          case LOGGER -> logBetween(random, 0.1, 1);
          case SHORT -> 1;
          case FEW -> minutes * 60 / (1 + random.nextInt(5));
          case DIGITAL, NEEDLE -> 60;
          default -> logBetween(random, 1, 60);
        };
    double step = cell == Cell.NEEDLE ? between(random, 1.7, 3.4) : logBetween(random, 0.01, 0.5);
    double noise = step * between(random, 0.3, 1);
    boolean seen = cell != Cell.UNSEEN;
    boolean overnight = random.nextBoolean();
    double drift =
        seen ? between(random, -0.15, 0.15) : random.nextGaussian() * (overnight ? 0.01 : 0.1);
    double freeAir =
        cell == Cell.FULL
            ? between(random, 30, 60)
            : cell == Cell.AIRY ? between(random, 300, 500) : logBetween(random, 30, 500);
    double hose = between(random, 0.1, 0.6);
    double liquid = between(random, 4000, 12_000);
    double celsius = between(random, 10, 30);
    CoolantMixture coolant = new CoolantMixture(STRENGTH);
    double expansion =
        Expansion.againstCastings(coolant, Temperature.ofCelsius(celsius))
            * (1 + 0.05 * random.nextGaussian());
    SystemUnderTest system =
        new SystemUnderTest(
            freeAir,
            liquid,
            hose,
            hose * between(random, 0.03, 0.2),
            logBetween(random, 40, 180),
            expansion,
            0.76);
    Purpose purpose =
        List.of(Purpose.SEARCH, Purpose.REPAIR, Purpose.SIGN_OFF).get(random.nextInt(3));
    double acceptance = purpose.usual();
    double truth = size == OTHER_SIZE ? logBetween(random, 0.03, 3) : size * acceptance;
    Instruments instruments =
        new Instruments(
            step,
            noise,
            seen ? 0.1 : 0,
            seen ? 0.05 : 0,
            cell == Cell.STUCK ? between(random, 1, 6) : 0);
    double pumping = between(random, 15, 40);
    Hold hold =
        new Hold(
            rated,
            pumping,
            minutes * 60,
            every,
            celsius,
            drift,
            cell == Cell.SQUEEZED
                ? pumping + between(random, 0.2, 0.8) * minutes * 60
                : Double.POSITIVE_INFINITY);
    Otherwise otherwise = other ? otherwise(hose, step, random) : Otherwise.NOTHING;
    double[] draws =
        cell == Cell.DRAWN
            ? random.nextBoolean() ? new double[] {2, 20} : new double[] {2, 15, 20}
            : new double[] {2};
    Outcome outcome =
        new StandInVehicle(system, leaks(cell, truth, rated, random), instruments, otherwise)
            .run(
                cell == Cell.RECOVERING
                    ? List.of(new Stage(between(random, 1.2, 1.4) * rated, pumping, 300))
                    : List.of(),
                hold,
                random,
                draws);
    return judged(
        cell,
        new Setting(
            freeAir,
            otherwise.hose(hose, rated),
            rated,
            minutes,
            every,
            step,
            noise,
            seen,
            overnight,
            hose,
            liquid,
            celsius,
            coolant,
            purpose,
            pumping,
            cell == Cell.RECOVERING),
        outcome,
        truth,
        random);
  }

  /** Things the estimator does not know of, of a size that is seen (our judgement, untested). */
  private static Otherwise otherwise(double hose, double step, Random random) {
    return new Otherwise(
        hose * between(random, 0.02, 0.08),
        logBetween(random, 300, 1200),
        between(random, 0, 0.3),
        between(random, 30, 180),
        between(random, 0.75, 1),
        between(random, 15, 60),
        step * between(random, 0, 0.5));
  }

  private static List<Leak> leaks(Cell cell, double truth, double rated, Random random) {
    if (truth == 0) {
      return List.of();
    }
    return switch (cell) {
      case ORIFICE -> List.of(Leak.orifice(truth, rated));
      case SHUTTING -> List.of(Leak.shutting(truth, rated, between(random, 0.3, 0.95) * rated));
      default -> List.of(Leak.seep(truth, rated));
    };
  }

  /** What a run was made with. */
  private record Setting(
      double freeAir,
      double hoseThere,
      double rated,
      double minutes,
      double every,
      double step,
      double noise,
      boolean seen,
      boolean overnight,
      double hose,
      double liquid,
      double celsius,
      CoolantMixture coolant,
      Purpose purpose,
      double pumping,
      boolean recovering) {}

  private static SimulatedTest judged(
      Cell cell, Setting s, Outcome outcome, double truth, Random random) {
    Temperature t = Temperature.ofCelsius(s.celsius());
    AbsolutePressure dry =
        new AbsolutePressure(s.rated() + ATMOSPHERE - s.coolant().vapourPressure(t).kilopascals());
    Gauge gauge = new Gauge(s.step(), s.noise(), OptionalDouble.empty(), 0.05, true);
    AirAndHoses taken =
        switch (cell) {
          case DRAWN -> drawn(s, outcome, gauge, dry);
          case COUNTED -> counted(s, gauge, dry, random);
          default -> taken(s, outcome, dry, random);
        };
    double[] closing = outcome.draws()[0];
    boolean draws = closing[0] > closing[1];
    OptionalDouble shut =
        OptionalDouble.of(outcome.trace().last(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds());
    Soak soak = s.overnight() ? new Soak.Overnight() : new Soak.Unknown();
    HoldConditions conditions =
        new HoldConditions(
            new HoldConditions.Limits(
                new GaugePressure(s.rated()),
                new TestLimit(
                    new GaugePressure(s.rated() * (s.recovering() ? 1.5 : 1) + 8),
                    TestLimit.Source.MAKER_TEST_PRESSURE),
                new Acceptance(s.purpose(), s.purpose().usual()),
                Optional.empty()),
            new HoldConditions.Surroundings(new AbsolutePressure(ATMOSPHERE), t, soak),
            new HoldConditions.FilledSystem(
                new Volume(s.liquid()), s.coolant(), taken, Medium.LIQUID),
            new HoldConditions.Instruments(
                gauge,
                s.seen() ? Optional.of(new Thermometer(0.1, 0.05)) : Optional.empty(),
                HoldConditions.OwnLeak.NONE),
            new HoldConditions.Course(
                new HoldConditions.Pumping(shut, new GaugePressure(0)),
                List.of(),
                s.recovering() ? OptionalDouble.of(1) : OptionalDouble.empty(),
                draws
                    ? Optional.of(
                        new Draw(
                            new Volume(2),
                            new GaugePressure(closing[0]),
                            new GaugePressure(closing[1])))
                    : Optional.empty(),
                Optional.empty()));
    PressureTestResult result = new PressureTest(outcome.trace(), conditions).analyse();
    Optional<PressureTestResult.Rate> rate =
        result.verdict() == VerdictKind.NOT_COUNTED ? Optional.empty() : result.rate();
    boolean covered = rate.filter(q -> Math.abs(q.rate() - truth) <= 1.96 * q.u()).isPresent();
    boolean planned =
        !s.recovering() // the plan says to wait
            && rate.filter(
                    q ->
                        new TestPlan(
                                gauge,
                                Math.max(s.every() / 60, s.minutes() / 400),
                                taken,
                                dry,
                                s.rated(),
                                q.thermalSensitivity(),
                                q.drift(),
                                q.driftU(),
                                Optional.empty())
                            .enough(s.minutes(), s.purpose().usual()))
                .isPresent();
    return new SimulatedTest(
        covered,
        rate.isPresent(),
        result.verdict() == VerdictKind.TIGHT,
        result.verdict() == VerdictKind.LEAK,
        planned,
        result.reasons().stream().map(r -> r.code().word()).toList());
  }

  /** Air and hoses as somebody measured them before, wrong by as much as is said. */
  private static AirAndHoses taken(
      Setting s, Outcome outcome, AbsolutePressure dry, Random random) {
    double total =
        (s.hoseThere() + outcome.gasAtHold() / dry.kilopascals()) * (1 + R * random.nextGaussian());
    double hoseTaken = Math.min(s.hoseThere() * between(random, 0.8, 1.2), 0.9 * total);
    return new AirAndHoses(
        new Volume((total - hoseTaken) * dry.kilopascals()),
        hoseTaken,
        R,
        AirAndHoses.Source.MEASURED);
  }

  /** Air and hoses from what the gauge showed at the draws after the closing one. */
  private static AirAndHoses drawn(Setting s, Outcome outcome, Gauge gauge, AbsolutePressure dry) {
    double[] volumes = outcome.draws().length == 2 ? new double[] {20} : new double[] {15, 20};
    List<Draw> draws = new ArrayList<>();
    for (int i = 0; i < volumes.length; i++) {
      double[] shown = outcome.draws()[i + 1];
      draws.add(
          new Draw(
              new Volume(volumes[i]), new GaugePressure(shown[0]), new GaugePressure(shown[1])));
    }
    return MeasuredCompliance.fromDraws(
            draws,
            Optional.of(HOSE),
            new GaugePressure(s.rated()),
            new AbsolutePressure(ATMOSPHERE),
            gauge.noise())
        .airAndHoses(dry);
  }

  /** Air and hoses from strokes of a pump that moves 2 % more or less than is said. */
  private static AirAndHoses counted(Setting s, Gauge gauge, AbsolutePressure dry, Random random) {
    double stroke = 15 * (1 + 0.02 * random.nextGaussian());
    List<Strokes.Reading> readings = new ArrayList<>();
    for (int count = 1; count < 200; count++) {
      double room = ATMOSPHERE * stroke * count;
      // (p + A)(V + h p) = A V + A n S: where so many strokes bring an even bubble and its hoses
      double b = s.freeAir() + s.hose() * ATMOSPHERE;
      double p = (-b + Math.sqrt(b * b + 4 * s.hose() * room)) / (2 * s.hose());
      if (p > s.rated()) {
        break;
      }
      if (count % 3 == 0) {
        double shown = Math.rint((p + s.noise() * random.nextGaussian()) / s.step()) * s.step();
        readings.add(new Strokes.Reading(count, new GaugePressure(shown)));
      }
    }
    if (readings.isEmpty()) {
      readings.add(new Strokes.Reading(1, new GaugePressure(s.rated())));
    }
    return MeasuredCompliance.fromStrokes(
            new Strokes(
                new Volume(15),
                0.03,
                new GaugePressure(0),
                Temperature.ofCelsius(s.celsius()),
                Temperature.ofCelsius(s.celsius()),
                readings),
            Optional.of(HOSE),
            new GaugePressure(s.rated()),
            new AbsolutePressure(ATMOSPHERE),
            gauge.noise())
        .airAndHoses(dry);
  }
}
