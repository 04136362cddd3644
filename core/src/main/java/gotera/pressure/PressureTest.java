package gotera.pressure;

import gotera.coolant.Expansion;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.EquivalentHole;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.uncertainty.Budget;
import gotera.uncertainty.Contribution;
import gotera.uncertainty.Contribution.Source;
import gotera.uncertainty.DecisionLimits;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A pressure test: the trace of a hold and its conditions. {@link #analyse} is the one place where
 * a curve becomes a verdict.
 *
 * @param trace the readings and events, pumping included
 * @param conditions everything else
 */
public record PressureTest(Trace trace, HoldConditions conditions) {
  /** A reading so soon tells the pressure at which the valve was shut (s; our judgement). */
  private static final double AT_THE_VALVE = 5;

  /** The verdict, from everything known now. */
  public PressureTestResult analyse() {
    Trace whole = HoldWindow.whole(trace, conditions);
    Disturbances quiet =
        Disturbances.cutOut(HoldWindow.cooled(whole, conditions), conditions.gauge());
    Trace window = quiet.trace();
    Optional<PressureTestResult.MakerRuleResult> rule =
        conditions.makerRule().map(r -> makerRule(r, whole));
    if (trace.first(TraceEvent.Kind.PLACE_SEEN).isPresent()) {
      return withoutRate(VerdictKind.STOPPED, List.of(), OptionalDouble.empty(), rule, window);
    }
    OptionalDouble gross = GrossLeak.lowerBound(trace, whole, conditions);
    if (gross.isPresent()) {
      return withoutRate(VerdictKind.GROSS, List.of(), gross, rule, whole);
    }
    List<Reason> failed = VerdictRules.failedConditions(trace, conditions);
    if (window.size() < 2) {
      failed.add(Reason.of(Code.TOO_FEW_READINGS, (double) window.size()));
      VerdictKind kind = failed.size() > 1 ? VerdictKind.NOT_COUNTED : VerdictKind.NOT_PROVEN;
      return withoutRate(kind, failed, OptionalDouble.empty(), rule, window);
    }
    TemperatureTrack temperature =
        TemperatureTrack.through(
            window, conditions.thermometer(), conditions.soak(), conditions.ambient().celsius());
    if (!temperatureKnown(window, temperature)) {
      failed.add(Reason.of(Code.TEMPERATURE_OUTSIDE_TABLE, temperature.highest()));
      VerdictKind kind = failed.size() > 1 ? VerdictKind.NOT_COUNTED : VerdictKind.NOT_PROVEN;
      return withoutRate(kind, failed, OptionalDouble.empty(), rule, window);
    }
    RateEstimate estimate = RateEstimator.estimate(window, conditions, temperature);
    PressureTestResult.Rate rate = rate(window, estimate, temperature);
    VerdictRules.Outcome outcome =
        VerdictRules.judge(
            failed,
            startPressure(whole),
            window,
            conditions,
            temperature,
            estimate.scatter(),
            rate);
    return new PressureTestResult(
        RateEstimator.VERSION,
        outcome.kind(),
        outcome.reasons(),
        Optional.of(rate),
        OptionalDouble.empty(),
        rule,
        used(window),
        quiet.found(),
        estimate.curve());
  }

  private static boolean temperatureKnown(Trace window, TemperatureTrack temperature) {
    return Expansion.covers(Temperature.ofCelsius(temperature.highest()))
        && Expansion.covers(Temperature.ofCelsius(temperature.celsius(window.seconds(0))))
        && Expansion.covers(
            Temperature.ofCelsius(temperature.celsius(window.seconds(window.size() - 1))));
  }

  private PressureTestResult.Rate rate(
      Trace window, RateEstimate estimate, TemperatureTrack temperature) {
    AirAndHoses system = conditions.airAndHoses();
    Gauge gauge = conditions.gauge();
    Temperature t0 = Temperature.ofCelsius(temperature.celsius(window.seconds(0)));
    double minutes = (window.seconds(window.size() - 1) - window.seconds(0)) / 60;
    double dry =
        window.gauge(0)
            + conditions.atmosphere().kilopascals()
            - conditions.coolant().vapourPressure(t0).kilopascals();
    double compliance = system.total(new AbsolutePressure(dry));
    double theta = thermalSensitivity(t0, dry);
    // everything that acts at the pressure of the hold is quoted at the rated pressure
    double toRated = 1 / estimate.meanDrive();
    double thermal = theta * temperature.drift() * toRated;
    double ownLeak = conditions.ownLeak().rate().millilitresPerMinute() * toRated;
    double q = estimate.rate() - ownLeak;
    double steps =
        gauge.stepsStay(window.size())
            ? compliance * gauge.resolution() / (Math.sqrt(6) * minutes) * toRated
            : 0;
    double expansionU =
        conditions.liquid().millilitres()
            * Expansion.uncertainty(conditions.coolant(), t0)
            * Math.abs(temperature.drift())
            * toRated;
    double r = system.relativeUncertainty();
    List<Contribution> additive =
        List.of(
            new Contribution(Source.FIT, estimate.inflatedFitU()),
            new Contribution(Source.TEMPERATURE, theta * temperature.uncertainty() * toRated),
            new Contribution(Source.EXPANSION, expansionU),
            new Contribution(Source.QUANTISATION, steps),
            new Contribution(Source.ZERO_DRIFT, compliance * gauge.zeroDrift() / minutes * toRated),
            new Contribution(Source.OWN_LEAK, conditions.ownLeak().u() * toRated));
    List<Contribution> all = new java.util.ArrayList<>(additive);
    all.add(new Contribution(Source.COMPLIANCE, r * Math.abs(q - thermal)));
    double k =
        estimate.scatter().freedom() > 0 && estimate.scatter().chiSquarePerFreedom() > 1
            ? DecisionLimits.factorForScatterFrom(estimate.scatter().freedom())
            : DecisionLimits.K;
    DecisionLimits limits = new DecisionLimits(new Budget(additive).total(), r, thermal, k);
    return new PressureTestResult.Rate(
        estimate.law(),
        estimate.laws(),
        q,
        new Budget(all),
        limits,
        limits.critical() + slowCreep(window),
        endPressure(window, estimate),
        meanPressure(window),
        compliance,
        system,
        theta,
        temperature.drift(),
        temperature.uncertainty(),
        temperature.measured(),
        estimate.settled(),
        !settledBefore(estimate.settled()),
        q > 0
            ? OptionalDouble.of(
                EquivalentHole.diameter(
                    new LeakRate(q), conditions.rated(), conditions.coolant().density()))
            : OptionalDouble.empty());
  }

  /** θ = V_g/T + V_g·p_v′/(P − p_v) + (β − α)·V_L (mL/K). */
  private double thermalSensitivity(Temperature t0, double dry) {
    double air = conditions.airAndHoses().trappedAir().millilitres();
    double vapour = conditions.coolant().vapourPressure(t0).kilopascals();
    double warmer =
        conditions.coolant().vapourPressure(new Temperature(t0.kelvins() + 0.1)).kilopascals();
    return air / t0.kelvins()
        + air * (warmer - vapour) / 0.1 / dry
        + Expansion.againstCastings(conditions.coolant(), t0) * conditions.liquid().millilitres();
  }

  /**
   * Creep slower than the test looks like a leak of 0.02·C_h·Δp per 10 minutes on a first hold,
   * half of it on a second (our judgement, untested) (mL/min).
   */
  private double slowCreep(Trace window) {
    double step = Math.max(0, window.gauge(0) - conditions.pumping().from().kilopascals());
    double first = 0.002 * conditions.airAndHoses().hose() * step;
    return conditions.earlier().isEmpty() ? first : first / 2;
  }

  /**
   * Whether pumping up again told settling from a leak that shuts: settling is mostly used up the
   * second time, a leak repeats. At most half of what settled before (our judgement, untested).
   */
  private boolean settledBefore(double settled) {
    return conditions.earlier().stream()
        .anyMatch(e -> e.settled() > 2 * e.u() && settled <= e.settled() / 2);
  }

  /**
   * What the gauge showed when the valve was shut: the first reading after it, or one just before
   * it if that was higher. Where nobody read it then, a leak may have shut before the first
   * reading, and the rated pressure stands in (kPa).
   */
  private double startPressure(Trace whole) {
    double first = whole.seconds(0);
    double shut =
        trace
            .last(TraceEvent.Kind.VALVE_SHUT)
            .map(TraceEvent::seconds)
            .orElse(conditions.pumping().until().orElse(first));
    double read =
        Math.max(whole.gauge(0), trace.between(shut - AT_THE_VALVE, first).highest().orElse(0.0));
    return first - shut <= AT_THE_VALVE ? read : Math.max(read, conditions.rated().kilopascals());
  }

  /** The lower of the last reading and the fitted curve's end: one reading may be luck (kPa). */
  private static double endPressure(Trace window, RateEstimate estimate) {
    double last = window.gauge(window.size() - 1);
    List<FittedCurve.Point> curve = estimate.curve();
    return curve.isEmpty() ? last : Math.min(last, curve.get(curve.size() - 1).gauge());
  }

  /** Mean gauge pressure over the time of the window (kPa). */
  static double meanPressure(Trace window) {
    double area = 0;
    for (int i = 1; i < window.size(); i++) {
      area +=
          (window.gauge(i) + window.gauge(i - 1)) / 2 * (window.seconds(i) - window.seconds(i - 1));
    }
    return area / (window.seconds(window.size() - 1) - window.seconds(0));
  }

  /** The rule's clock starts when the valve shuts, and its pressure must have been reached. */
  private PressureTestResult.MakerRuleResult makerRule(MakerRule rule, Trace window) {
    AbsolutePressure atmosphere = conditions.atmosphere();
    AirAndHoses here = conditions.airAndHoses();
    if (window.size() > 0) {
      double start = new GaugePressure(window.gauge(0)).above(atmosphere).kilopascals();
      double at = rule.pressure().above(atmosphere).kilopascals();
      here =
          new AirAndHoses(
              new Volume(here.trappedAir().millilitres() * start / at),
              here.hose(),
              here.relativeUncertainty(),
              here.source());
    }
    return new PressureTestResult.MakerRuleResult(
        rule, met(rule, window), rule.letsThrough(here, atmosphere).millilitresPerMinute());
  }

  private MakerRule.Met met(MakerRule rule, Trace window) {
    double step = conditions.gauge().resolution();
    boolean allowed = rule.pressure().compareTo(conditions.limit().pressure()) <= 0;
    if (!allowed || window.size() < 2 || window.gauge(0) < rule.pressure().kilopascals() - step) {
      return MakerRule.Met.NOT_TESTED;
    }
    double start = window.seconds(0);
    for (int i = 1; i < window.size(); i++) {
      boolean inTime = window.seconds(i) - start <= rule.minutes() * 60;
      if (inTime && window.gauge(0) - window.gauge(i) > rule.drop()) {
        return MakerRule.Met.NO;
      }
      if (window.seconds(i) - start >= rule.minutes() * 60) {
        return window.gauge(0) - window.gauge(i) <= rule.drop()
            ? MakerRule.Met.YES
            : MakerRule.Met.NO;
      }
    }
    return MakerRule.Met.NOT_TESTED;
  }

  private static PressureTestResult withoutRate(
      VerdictKind kind,
      List<Reason> reasons,
      OptionalDouble lowerBound,
      Optional<PressureTestResult.MakerRuleResult> rule,
      Trace window) {
    return new PressureTestResult(
        RateEstimator.VERSION,
        kind,
        List.copyOf(reasons),
        Optional.empty(),
        lowerBound,
        rule,
        used(window),
        List.of(),
        List.of());
  }

  private static Optional<HoldConditions.Window> used(Trace window) {
    return window.size() < 2
        ? Optional.empty()
        : Optional.of(
            new HoldConditions.Window(window.seconds(0), window.seconds(window.size() - 1)));
  }
}
