package gotera.pressure;

import gotera.coolant.Expansion;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.law.EquivalentHole;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.LeakRate;
import gotera.quantity.Temperature;
import gotera.uncertainty.Budget;
import gotera.uncertainty.Contribution;
import gotera.uncertainty.Contribution.Source;
import gotera.uncertainty.DecisionLimits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * A pressure test: the trace of a hold and its conditions. {@link #analyse} is the one place where
 * a curve becomes a verdict.
 *
 * @param trace the readings and events, pumping included
 * @param conditions everything else
 */
public record PressureTest(Trace trace, HoldConditions conditions) {
  /**
   * A rate is called a leak above so many of its critical values: 2.7 standard uncertainties. What
   * hoses, probe and air do on their own is one-sided, and at the critical value itself one in
   * twenty tight systems would be called a leak (our judgement, by {@code ./gotera monte-carlo}).
   */
  private static final double CLEARLY = 2.7 / DecisionLimits.K;

  /** Version of the computation, as it is kept with each verdict. */
  public static final String VERSION = RateEstimator.VERSION;

  /** With less of the rated pressure than this share nothing is driven through a leak (1). */
  private static final double LEAST_DRIVE = 0.01;

  /**
   * The verdict, from everything known now. Every trace under every conditions has one: what cannot
   * be reckoned with does not count, and says why.
   */
  public PressureTestResult analyse() {
    Trace whole = HoldWindow.whole(trace, conditions);
    if (trace.first(TraceEvent.Kind.PLACE_SEEN).isPresent()) {
      // what was lost until then was lost all the same
      OptionalDouble least =
          Plausible.problems(trace, conditions).isEmpty()
              ? GrossLeak.lowerBound(trace, whole, conditions)
              : OptionalDouble.empty();
      return answer(VerdictKind.STOPPED, List.of(), least, makerRule(whole), whole);
    }
    List<Reason> impossible = Plausible.problems(trace, conditions);
    if (!impossible.isEmpty()) {
      return withoutRate(VerdictKind.NOT_COUNTED, impossible, Optional.empty(), whole);
    }
    HoldParts parts = HoldParts.before(trace, conditions);
    if (parts.sinceHigher().isPresent() && conditions.disturbedMinutesBefore().isEmpty()) {
      return new PressureTest(trace, conditions.disturbed(parts.sinceHigher()))
          .judged(parts, whole);
    }
    return judged(parts, whole);
  }

  private Optional<PressureTestResult.MakerRuleResult> makerRule(Trace whole) {
    return conditions
        .makerRule()
        .filter(r -> Plausible.problems(trace, conditions).isEmpty())
        .map(r -> MakerRuleOnTrace.of(r, whole, HoldWindow.shut(trace, conditions), conditions));
  }

  private PressureTestResult judged(HoldParts parts, Trace whole) {
    Disturbances quiet =
        Disturbances.cutOut(HoldWindow.cooled(whole, conditions), conditions.gauge());
    Trace window = quiet.trace();
    Optional<PressureTestResult.MakerRuleResult> rule = makerRule(whole);
    OptionalDouble gross = GrossLeak.lowerBound(trace, whole, conditions);
    if (gross.isPresent()) {
      return gross(gross, rule, whole);
    }
    List<Reason> failed = VerdictRules.failedConditions(trace, conditions);
    if (window.size() < 2) {
      return tooLittle(
          failed, Reason.of(Code.TOO_FEW_READINGS, (double) window.size()), rule, window);
    }
    TemperatureTrack readings =
        TemperatureTrack.through(
            window, conditions.thermometer(), conditions.soak(), conditions.ambient().celsius());
    if (!temperatureKnown(window, readings)) {
      return tooLittle(
          failed, Reason.of(Code.TEMPERATURE_OUTSIDE_TABLE, readings.highest()), rule, window);
    }
    Optional<PreHold> preHold = PreHold.better(parts, window, conditions, readings);
    TemperatureTrack temperature =
        preHold.map(p -> p.track(window, readings.celsius(window.seconds(0)))).orElse(readings);
    RateEstimate estimate = RateEstimator.estimate(window, conditions, temperature, creep(window));
    if (!(estimate.meanDrive() > LEAST_DRIVE)) {
      return tooLittle(
          failed,
          Reason.of(Code.PRESSURE_TOO_LOW, meanPressure(window), conditions.rated().kilopascals()),
          rule,
          window);
    }
    PressureTestResult.Rate rate = rate(window, estimate, temperature, parts, preHold);
    VerdictRules.Outcome outcome =
        VerdictRules.judge(
            failed, start(whole), window, conditions, temperature, estimate.scatter(), rate);
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

  /** Too little for a rate: not proven, or not even counting where a condition failed too. */
  private static PressureTestResult tooLittle(
      List<Reason> failed,
      Reason missing,
      Optional<PressureTestResult.MakerRuleResult> rule,
      Trace window) {
    VerdictKind kind = failed.isEmpty() ? VerdictKind.NOT_PROVEN : VerdictKind.NOT_COUNTED;
    failed.add(missing);
    return withoutRate(kind, failed, rule, window);
  }

  private boolean temperatureKnown(Trace window, TemperatureTrack temperature) {
    // without liquid nothing expands against the castings
    return !(conditions.liquid().millilitres() > 0)
        || Expansion.covers(Temperature.ofCelsius(temperature.highest()))
            && Expansion.covers(Temperature.ofCelsius(temperature.celsius(window.seconds(0))))
            && Expansion.covers(
                Temperature.ofCelsius(temperature.celsius(window.seconds(window.size() - 1))));
  }

  private PressureTestResult.Rate rate(
      Trace window,
      RateEstimate estimate,
      TemperatureTrack temperature,
      HoldParts parts,
      Optional<PreHold> preHold) {
    Filling filling = Filling.of(window, conditions, temperature);
    double compliance = filling.perKilopascal(window.seconds(0), window.gauge(0));
    double theta = filling.thermalSensitivity(window.seconds(0), window.gauge(0));
    double leaked = preHold.map(p -> p.leaked(estimate.laws(), conditions, theta)).orElse(0.0);
    // everything that acts at the pressure of the hold is quoted at the rated pressure
    double toRated = 1 / estimate.meanDrive() / (1 - leaked);
    double thermal = theta * temperature.drift() * toRated;
    double ownLeak = conditions.ownLeak().rate().millilitresPerMinute() * toRated;
    double q = estimate.rate() / (1 - leaked) - ownLeak;
    double r = conditions.airAndHoses().relativeUncertainty();
    List<Contribution> additive =
        additive(window, estimate, temperature, compliance, theta, toRated, 1 / (1 - leaked));
    List<Contribution> all = new ArrayList<>(additive);
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
        limits.critical() * CLEARLY,
        endPressure(window, estimate),
        meanPressure(window),
        compliance,
        conditions.airAndHoses(),
        theta,
        temperature.drift(),
        temperature.uncertainty(),
        temperature.measured(),
        preHold.isPresent(),
        estimate.settled(),
        estimate.settledU(),
        settledBefore(estimate.settled(), parts),
        hole(q),
        asCoolant(q));
  }

  /** The part of the uncertainty that does not come from the compliance. */
  private List<Contribution> additive(
      Trace window,
      RateEstimate estimate,
      TemperatureTrack temperature,
      double compliance,
      double theta,
      double toRated,
      double back) {
    Gauge gauge = conditions.gauge();
    Temperature t0 = Temperature.ofCelsius(temperature.celsius(window.seconds(0)));
    double minutes = (window.seconds(window.size() - 1) - window.seconds(0)) / 60;
    double steps =
        gauge.stepsStay(window.size())
            ? compliance * gauge.resolution() / (Math.sqrt(6) * minutes) * toRated
            : 0;
    double liquid = conditions.liquid().millilitres();
    double expansionU =
        liquid > 0
            ? liquid
                * Expansion.uncertainty(conditions.coolant(), t0)
                * Math.abs(temperature.drift())
                * toRated
            : 0;
    return List.of(
        new Contribution(Source.FIT, estimate.ownFitU() * back),
        new Contribution(Source.CREEP, estimate.creepU() * back),
        new Contribution(Source.TEMPERATURE, Math.abs(theta) * temperature.uncertainty() * toRated),
        new Contribution(Source.EXPANSION, expansionU),
        new Contribution(Source.QUANTISATION, steps),
        new Contribution(Source.ZERO_DRIFT, compliance * gauge.zeroDrift() / minutes * toRated),
        new Contribution(Source.OWN_LEAK, conditions.ownLeak().u() * toRated));
  }

  /** What a leak of air is worth in coolant. */
  private Optional<AsCoolant> asCoolant(double q) {
    return switch (conditions.medium()) {
      case LIQUID -> Optional.empty();
      case GAS ->
          Optional.of(
              AsCoolant.ofGas(
                  q, conditions.rated(), conditions.atmosphere(), conditions.coolant()));
      case VACUUM ->
          Optional.of(
              AsCoolant.ofVacuum(
                  q, conditions.rated(), conditions.atmosphere(), conditions.coolant()));
    };
  }

  /** The hole that would leak as much coolant (mm). */
  private OptionalDouble hole(double q) {
    return q > 0 && conditions.medium() == Medium.LIQUID
        ? OptionalDouble.of(
            EquivalentHole.diameter(
                new LeakRate(q), conditions.rated(), conditions.coolant().density()))
        : OptionalDouble.empty();
  }

  /** How the hoses creep on in a hold: what pressed them before is on the trace. */
  private SlowCreep creep(Trace hold) {
    double shut = conditions.pumping().until().orElse(hold.seconds(0));
    return SlowCreep.before(
        trace,
        Math.min(shut, hold.seconds(0)),
        hold.gauge(0),
        conditions.pumping().from().kilopascals());
  }

  /**
   * Whether pumping up again told settling from a leak that shuts: settling is mostly used up the
   * second time, a leak repeats. At most half of what settled before (our judgement, untested).
   */
  private boolean settledBefore(double settled, HoldParts parts) {
    return Stream.concat(
            conditions.earlier().stream(), parts.earlier().stream().flatMap(this::settledIn))
        .anyMatch(e -> e.settled() > 2 * e.u() && settled <= e.settled() / 2);
  }

  /** What settled in an earlier hold of the same trace. */
  private Stream<HoldConditions.EarlierHold> settledIn(Trace part) {
    HoldConditions then =
        conditions.at(
            conditions.rated(),
            conditions.airAndHoses(),
            new HoldConditions.Pumping(
                OptionalDouble.of(part.seconds(0)), conditions.pumping().from()));
    TemperatureTrack temperature =
        TemperatureTrack.through(
            part, conditions.thermometer(), conditions.soak(), conditions.ambient().celsius());
    if (!temperatureKnown(part, temperature)) {
      return Stream.empty();
    }
    RateEstimate estimate = RateEstimator.estimate(part, then, temperature, creep(part));
    return Stream.of(new HoldConditions.EarlierHold(estimate.settled(), estimate.settledU()));
  }

  /**
   * What the gauge showed when the valve was shut: the first reading of the hold, or one just
   * before it if that was higher.
   */
  private VerdictRules.Start start(Trace whole) {
    double first = whole.seconds(0);
    double shut = HoldWindow.shut(trace, conditions);
    if (Double.isInfinite(shut)) {
      shut = first;
    }
    double before =
        trace.between(shut - HoldWindow.AT_THE_VALVE, first).highest().orElse(whole.gauge(0));
    return new VerdictRules.Start(
        Math.max(whole.gauge(0), before), first - shut <= HoldWindow.AT_THE_VALVE);
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

  private static PressureTestResult withoutRate(
      VerdictKind kind,
      List<Reason> reasons,
      Optional<PressureTestResult.MakerRuleResult> rule,
      Trace window) {
    return answer(kind, reasons, OptionalDouble.empty(), rule, window);
  }

  private static PressureTestResult gross(
      OptionalDouble lowerBound, Optional<PressureTestResult.MakerRuleResult> rule, Trace whole) {
    return answer(VerdictKind.GROSS, List.of(), lowerBound, rule, whole);
  }

  private static PressureTestResult answer(
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
