package gotera.pressure;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.Volume;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/**
 * A change that by itself would let a test prove its limit, everything else as it was.
 *
 * @param kind what to change
 * @param figure to what: minutes, of this hold or of another after pumping up again, trapped air
 *     (mL), step of the gauge (kPa), or standard uncertainty of the drift (K/min)
 */
public record Remedy(Kind kind, double figure) {
  /** Compliance once it is measured (our judgement, untested). */
  private static final double MEASURED = 0.06;

  private static final double LEAST_AIR = 10; // mL
  private static final double ONE_BAR_UP = 200; // kPa, absolute

  /** Reckoning with readings closer than a second gains nothing (min) (our judgement). */
  private static final double SHORTEST_INTERVAL = 1.0 / 60;

  /** Hoses that were pressed for less have hardly settled (min) (our judgement, untested). */
  private static final double LEAST_PRESSED = 5;

  /** What can be changed. */
  public enum Kind implements Worded {
    /** Hold for so many minutes in all. */
    MINUTES,
    /**
     * Pump up again now, and hold for so many minutes: hoses that were pressed creep little more.
     */
    AGAIN,
    /** Have so little trapped air (mL). */
    AIR,
    /** Read so fine a step (kPa). */
    GAUGE,
    /** Know the drift so well (K/min). */
    TEMPERATURE
  }

  /** What would settle a test that proved nothing; empty where the length of the test is not it. */
  public static List<Remedy> of(PressureTest test, PressureTestResult result) {
    if (result.verdict() != VerdictKind.NOT_PROVEN
        || result.rate().isEmpty()
        || result.window().isEmpty()
        || test.conditions().medium() != Medium.LIQUID) {
      return List.of();
    }
    return of(test, result.rate().get(), result.window().get());
  }

  private static Optional<Remedy> air(
      TestPlan plan,
      PressureTestResult.Rate rate,
      HoldConditions conditions,
      double minutes,
      double limit) {
    double air = rate.airAndHoses().trappedAir().millilitres();
    double perMillilitre = 1 / conditions.ambient().kelvins();
    return least(
            air,
            LEAST_AIR,
            a ->
                plan.with(
                    air(plan.system(), a), plan.thermalSensitivity() - (air - a) * perMillilitre),
            minutes,
            limit)
        .stream()
        .map(a -> new Remedy(Kind.AIR, a))
        .findFirst();
  }

  private static List<Remedy> of(
      PressureTest test, PressureTestResult.Rate rate, HoldConditions.Window window) {
    HoldConditions conditions = test.conditions();
    double minutes = (window.to() - window.from()) / 60;
    int readings = test.trace().between(window.from(), window.to()).size();
    double limit = conditions.acceptance().limit();
    double interval = minutes / Math.max(1, Math.min(readings - 1, 400));
    double pressed =
        HoldParts.before(test.trace(), conditions)
            .pressedMinutes(test.trace().between(window.from(), window.to()));
    TestPlan plan = plan(conditions, rate, Math.max(SHORTEST_INTERVAL, interval)).pressed(pressed);
    List<Remedy> remedies = new ArrayList<>();
    OptionalDouble longer = plan.shortest(limit);
    if (longer.isPresent() && longer.getAsDouble() > minutes) {
      remedies.add(new Remedy(Kind.MINUTES, longer.getAsDouble()));
    }
    double toGo = longer.orElse(Double.POSITIVE_INFINITY) - minutes;
    OptionalDouble again = plan.pressed(pressed + minutes).shortest(limit);
    if (minutes >= LEAST_PRESSED && toGo > 0 && again.orElse(toGo) < toGo) {
      remedies.add(0, new Remedy(Kind.AGAIN, again.getAsDouble()));
    }
    if (plan.after(minutes).detection() <= limit) {
      return remedies;
    }
    air(plan, rate, conditions, minutes, limit).ifPresent(remedies::add);
    Gauge gauge = conditions.gauge();
    least(
            gauge.resolution(),
            gauge.resolution() / 100,
            step -> plan.with(finer(gauge, step)),
            minutes,
            limit)
        .ifPresent(step -> remedies.add(new Remedy(Kind.GAUGE, step)));
    least(plan.driftU(), 0.001, plan::withDriftU, minutes, limit)
        .ifPresent(u -> remedies.add(new Remedy(Kind.TEMPERATURE, u)));
    return remedies;
  }

  private static TestPlan plan(
      HoldConditions conditions, PressureTestResult.Rate rate, double interval) {
    AirAndHoses as = rate.airAndHoses();
    double air = as.trappedAir().millilitres();
    // without air its pressure does not matter; some must stand there
    double dry =
        air > 0 && rate.compliance() > as.hose()
            ? air / (rate.compliance() - as.hose())
            : ONE_BAR_UP;
    // a thermometer's log gets better with time, what one probe does not know does not
    // and a drift within its own uncertainty may well be none
    double drift =
        Math.signum(rate.drift()) * Math.max(0, Math.abs(rate.drift()) - 1.96 * rate.driftU());
    boolean probe = rate.driftMeasured() && !rate.preHold() && conditions.thermometer().isPresent();
    return new TestPlan(
        conditions.gauge(),
        interval,
        new AirAndHoses(
            as.trappedAir(), as.hose(), Math.min(as.relativeUncertainty(), MEASURED), as.source()),
        new AbsolutePressure(dry),
        Math.max(1, rate.meanPressure() - conditions.pumping().from().kilopascals()),
        rate.thermalSensitivity(),
        drift,
        probe
            ? Math.hypot(TemperatureTrack.PROBE_SHARE * drift, TemperatureTrack.FLOOR)
            : rate.driftU(),
        probe ? conditions.thermometer() : Optional.empty());
  }

  private static AirAndHoses air(AirAndHoses system, double millilitres) {
    return new AirAndHoses(
        new Volume(millilitres), system.hose(), system.relativeUncertainty(), system.source());
  }

  private static Gauge finer(Gauge gauge, double step) {
    double share = step / gauge.resolution();
    return new Gauge(
        step,
        gauge.repeatability() * share,
        gauge.range(),
        gauge.zeroDrift() * share,
        gauge.calibrated());
  }

  /** The most that is little enough, found by halving; empty where not even the least is. */
  private static Optional<Double> least(
      double now, double least, DoubleFunction<TestPlan> make, double minutes, double limit) {
    if (!(now > least) || make.apply(least).after(minutes).detection() > limit) {
      return Optional.empty();
    }
    double enough = least;
    double tooMuch = now;
    for (int i = 0; i < 20; i++) {
      double middle = Math.sqrt(enough * tooMuch);
      if (make.apply(middle).after(minutes).detection() <= limit) {
        enough = middle;
      } else {
        tooMuch = middle;
      }
    }
    return Optional.of(enough);
  }
}
