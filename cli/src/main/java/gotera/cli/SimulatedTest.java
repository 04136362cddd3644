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
import gotera.simulation.StandInVehicle.Outcome;
import gotera.simulation.StandInVehicle.Stage;
import gotera.simulation.StandInVehicle.SystemUnderTest;
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
    RECOVERING("hoses recover from a higher pressure");

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

  static SimulatedTest of(Cell cell, double size, Random random) {
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
    Outcome outcome =
        new StandInVehicle(system, leaks(cell, truth, rated, random), instruments)
            .run(
                cell == Cell.RECOVERING
                    ? List.of(new Stage(between(random, 1.2, 1.4) * rated, pumping, 300))
                    : List.of(),
                hold,
                random,
                2);
    return judged(
        new Setting(
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

  private static SimulatedTest judged(Setting s, Outcome outcome, double truth, Random random) {
    Temperature t = Temperature.ofCelsius(s.celsius());
    AbsolutePressure dry =
        new AbsolutePressure(s.rated() + ATMOSPHERE - s.coolant().vapourPressure(t).kilopascals());
    double total =
        (s.hose() + outcome.gasAtHold() / dry.kilopascals()) * (1 + R * random.nextGaussian());
    double hoseTaken = Math.min(s.hose() * between(random, 0.8, 1.2), 0.9 * total);
    AirAndHoses taken =
        new AirAndHoses(
            new Volume((total - hoseTaken) * dry.kilopascals()),
            hoseTaken,
            R,
            AirAndHoses.Source.MEASURED);
    Gauge gauge = new Gauge(s.step(), s.noise(), OptionalDouble.empty(), 0.05, true);
    double[] closing = outcome.draws()[0];
    boolean draws = closing[0] > closing[1];
    OptionalDouble shut =
        OptionalDouble.of(outcome.trace().last(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds());
    Soak soak = s.overnight() ? new Soak.Overnight() : new Soak.Unknown();
    HoldConditions conditions =
        new HoldConditions(
            new GaugePressure(s.rated()),
            new TestLimit(
                new GaugePressure(s.rated() * (s.recovering() ? 1.5 : 1) + 8),
                TestLimit.Source.MAKER_TEST_PRESSURE),
            new AbsolutePressure(ATMOSPHERE),
            t,
            new Volume(s.liquid()),
            s.coolant(),
            taken,
            gauge,
            s.seen() ? Optional.of(new Thermometer(0.1, 0.05)) : Optional.empty(),
            soak,
            HoldConditions.OwnLeak.NONE,
            new Acceptance(s.purpose(), s.purpose().usual()),
            Optional.empty(),
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
            Optional.empty(),
            Medium.LIQUID);
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
}
