package gotera.pressure;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import gotera.uncertainty.Contribution.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a rate allows one to say, in this order: does not count, leak, tight, not proven. Each
 * failed condition is named. Shares and limits are our judgement, untested, unless they say
 * otherwise.
 */
final class VerdictRules {
  private static final double WARMEST = 45; // °C
  private static final double RISING = 2.5; // multiples of u0
  private static final double MEAN_SHARE = 0.8; // of the rated pressure
  static final double END_SHARE = 0.95; // of the pressure when the valve was shut
  private static final double MOST_UNSURE_COMPLIANCE = 0.15;
  private static final double RECOVERY_MINUTES = 30;
  private static final double MOST_OWN_LEAK = 0.3; // of the acceptance limit: repair the tester
  // a needle may stick by so much: what moves it less must be shown to move it at all
  private static final double NEEDLE_STICKS = 8; // kPa
  private static final double CLOSING_SIGMAS = 2.5;
  private static final double CLOSING_VOLUME_U = 0.2; // mL, a small syringe

  private VerdictRules() {}

  /**
   * A verdict.
   *
   * @param kind its class
   * @param reasons what was not met
   */
  record Outcome(VerdictKind kind, List<Reason> reasons) {}

  /**
   * The beginning of a hold.
   *
   * @param gauge highest gauge pressure read then (kPa)
   * @param read whether somebody read it at the valve
   */
  record Start(double gauge, boolean read) {}

  /** Conditions that make a test not count, whatever its rate. */
  static List<Reason> failedConditions(Trace trace, HoldConditions conditions) {
    List<Reason> failed = new ArrayList<>();
    double highest = trace.highest().orElse(0.0);
    double limit = conditions.limit().pressure().kilopascals();
    if (conditions.limit().isExceededBy(highest, conditions.gauge().resolution())) {
      failed.add(Reason.of(Code.ABOVE_LIMIT, highest, limit));
    }
    conditions
        .gauge()
        .range()
        .ifPresent(
            range -> {
              if (highest > range) {
                failed.add(Reason.of(Code.OUT_OF_RANGE, highest, range));
              }
            });
    if (!conditions.gauge().calibrated()) {
      failed.add(Reason.of(Code.NOT_CALIBRATED));
    }
    double own = conditions.ownLeak().rate().millilitresPerMinute();
    double mostOwn = MOST_OWN_LEAK * conditions.acceptance().limit();
    if (own > mostOwn) {
      failed.add(Reason.of(Code.TESTER_LEAKS, own, mostOwn));
    }
    return failed;
  }

  /**
   * The verdict on a rate.
   *
   * @param start what the gauge showed when the valve was shut; a leak that shuts with falling
   *     pressure may have fallen before the window begins
   */
  static Outcome judge(
      List<Reason> failed,
      Start start,
      Trace window,
      HoldConditions conditions,
      TemperatureTrack temperature,
      Scatter scatter,
      PressureTestResult.Rate rate) {
    double u0 = rate.limits().u0();
    if (rate.rate() < -RISING * u0) {
      failed.add(Reason.of(Code.RISING, rate.rate(), -RISING * u0));
    }
    if (!failed.isEmpty()) {
      return new Outcome(VerdictKind.NOT_COUNTED, List.copyOf(failed));
    }
    List<Reason> missing = new ArrayList<>();
    if (temperature.highest() > WARMEST) {
      missing.add(Reason.of(Code.TOO_WARM, temperature.highest(), WARMEST));
    }
    if (missing.isEmpty() && rate.rate() > rate.leakThreshold()) {
      Optional<Reason> withinSteps = withinSteps(window, conditions);
      if (withinSteps.isEmpty()) {
        return new Outcome(VerdictKind.LEAK, List.of());
      }
      missing.add(withinSteps.get());
    }
    missing.addAll(missingForTight(start, window, conditions, scatter, rate));
    return missing.isEmpty()
        ? new Outcome(VerdictKind.TIGHT, List.of())
        : new Outcome(VerdictKind.NOT_PROVEN, List.copyOf(missing));
  }

  private static Optional<Reason> withinSteps(Trace window, HoldConditions conditions) {
    // a vacuum is lost upwards
    double sign = conditions.medium() == Medium.VACUUM ? -1 : 1;
    double drop = sign * (window.gauge(0) - window.gauge(window.size() - 1));
    double two = 2 * conditions.gauge().resolution();
    return conditions.gauge().stepsStay(window.size()) && drop <= two
        ? Optional.of(Reason.of(Code.DROP_WITHIN_STEPS, drop, two))
        : Optional.empty();
  }

  private static List<Reason> missingForTight(
      Start start,
      Trace window,
      HoldConditions conditions,
      Scatter scatter,
      PressureTestResult.Rate rate) {
    List<Reason> missing = new ArrayList<>();
    double accepted = conditions.acceptance().limit();
    double thermalU = rate.budget().of(Source.TEMPERATURE);
    if (thermalU > accepted) {
      missing.add(Reason.of(Code.TEMPERATURE_UNSURE, thermalU, accepted));
    }
    if (Math.abs(rate.rate()) > rate.limits().critical()) {
      missing.add(Reason.of(Code.RATE_NOT_ZERO, rate.rate(), rate.leakThreshold()));
    }
    if (rate.upper() > accepted) {
      missing.add(Reason.of(Code.UPPER_LIMIT_TOO_HIGH, rate.upper(), accepted));
    }
    if (rate.limits().detection() > accepted) {
      missing.add(Reason.of(Code.DETECTION_LIMIT_TOO_HIGH, rate.limits().detection(), accepted));
    }
    if (scatter.tooWide()) {
      missing.add(Reason.of(Code.CURVE_NOT_DESCRIBED, scatter.chiSquarePerFreedom()));
    } else if (scatter.runs()) {
      missing.add(Reason.of(Code.RESIDUALS_IN_RUNS));
    }
    if (conditions.medium() != Medium.VACUUM) {
      missing.addAll(missingPressure(start, conditions, rate));
    }
    missing.addAll(missingProofs(window, conditions, rate.compliance()));
    return missing;
  }

  private static List<Reason> missingPressure(
      Start start, HoldConditions conditions, PressureTestResult.Rate rate) {
    List<Reason> missing = new ArrayList<>();
    if (rate.meanPressure() < MEAN_SHARE * conditions.rated().kilopascals()) {
      missing.add(
          Reason.of(Code.PRESSURE_TOO_LOW, rate.meanPressure(), conditions.rated().kilopascals()));
    }
    double rated = conditions.rated().kilopascals();
    if (rate.endPressure() < END_SHARE * start.gauge()) {
      missing.add(Reason.of(Code.FELL_TOO_FAR, rate.endPressure(), start.gauge()));
    } else if (!start.read() && rate.endPressure() < END_SHARE * rated) {
      missing.add(Reason.of(Code.START_NOT_READ, start.gauge(), rated));
    }
    return missing;
  }

  private static List<Reason> missingProofs(
      Trace window, HoldConditions conditions, double compliance) {
    List<Reason> missing = new ArrayList<>();
    AirAndHoses system = conditions.airAndHoses();
    if (system.source() != AirAndHoses.Source.MEASURED) {
      missing.add(Reason.of(Code.COMPLIANCE_NOT_MEASURED));
    } else if (system.relativeUncertainty() > MOST_UNSURE_COMPLIANCE) {
      missing.add(Reason.of(Code.COMPLIANCE_UNSURE, system.relativeUncertainty()));
    }
    conditions
        .disturbedMinutesBefore()
        .ifPresent(
            minutes -> {
              if (minutes < RECOVERY_MINUTES) {
                missing.add(Reason.of(Code.HOSES_RECOVER, minutes));
              }
            });
    if (conditions.medium() != Medium.LIQUID) {
      // air tells whether an assembly is right; coolant left in a fine path plugs it for air
      if (conditions.acceptance().purpose() == Purpose.SIGN_OFF) {
        missing.add(Reason.of(Code.DRY_TEST));
      }
    } else if (conditions.closingDraw().isPresent()) {
      closingDraw(window, conditions, conditions.closingDraw().get()).ifPresent(missing::add);
    } else if (conditions.acceptance().purpose() == Purpose.SIGN_OFF
        || wouldMove(window, conditions, compliance) < NEEDLE_STICKS) {
      missing.add(Reason.of(Code.CLOSING_DRAW_MISSING));
    }
    return missing;
  }

  /** How far a leak at the acceptance limit would have moved the gauge (kPa). */
  private static double wouldMove(Trace window, HoldConditions conditions, double compliance) {
    double minutes = (window.seconds(window.size() - 1) - window.seconds(0)) / 60;
    return conditions.acceptance().limit() * minutes / compliance;
  }

  /** The closing draw must give the step that the computation predicts. */
  private static Optional<Reason> closingDraw(Trace window, HoldConditions conditions, Draw draw) {
    AirAndHoses system = conditions.airAndHoses();
    double start = new GaugePressure(window.gauge(0)).above(conditions.atmosphere()).kilopascals();
    double now = draw.before().above(conditions.atmosphere()).kilopascals();
    AirAndHoses here =
        new AirAndHoses(
            new Volume(system.trappedAir().millilitres() * start / now),
            system.hose(),
            system.relativeUncertainty(),
            system.source());
    double predicted = draw.predictedStep(here, conditions.atmosphere());
    double step = draw.before().kilopascals() - draw.after().kilopascals();
    double relative =
        Math.hypot(system.relativeUncertainty(), CLOSING_VOLUME_U / draw.volume().millilitres());
    double u = Math.hypot(predicted * relative, Math.sqrt(2) * conditions.gauge().noise());
    return Math.abs(step - predicted) > CLOSING_SIGMAS * u
        ? Optional.of(Reason.of(Code.CLOSING_DRAW_WRONG, step, predicted))
        : Optional.empty();
  }
}
