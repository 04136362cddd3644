package gotera.pressure;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.VerdictKind;
import gotera.uncertainty.Budget;
import gotera.uncertainty.DecisionLimits;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Answer to a pressure test.
 *
 * @param estimator version of the computation
 * @param verdict the class
 * @param reasons conditions not met, in order of weight; empty when none failed
 * @param rate the rate, where the curve gives one
 * @param lowerBound for a gross leak, what it loses at least at the pressure it kept (mL/min)
 * @param makerRule the maker's rule, if there is one
 * @param window the part of the trace that was used, if any was
 * @param disturbances parts cut out of it because someone leaned on a hose
 * @param curve the fitted curve, empty where nothing was fitted
 */
public record PressureTestResult(
    String estimator,
    VerdictKind verdict,
    List<Reason> reasons,
    Optional<Rate> rate,
    OptionalDouble lowerBound,
    Optional<MakerRuleResult> makerRule,
    Optional<HoldConditions.Window> window,
    List<HoldConditions.Window> disturbances,
    List<FittedCurve.Point> curve) {
  /** What was stored before disturbances were looked for has none. */
  @SuppressWarnings("NullAway") // a stored answer may lack the member
  public PressureTestResult {
    disturbances = disturbances == null ? List.of() : List.copyOf(disturbances);
  }

  /**
   * The leak rate and what it rests on.
   *
   * @param law the most probable law of the leak
   * @param laws how probable each law is; empty in verdicts stored before there were several
   * @param rate the rate at the rated pressure, q (mL/min); negative is legal
   * @param budget its uncertainty
   * @param limits the decision limits
   * @param leakThreshold above it the rate counts as a leak: 2.7 u0; before version creep-5 L_C and
   *     slow creep (mL/min)
   * @param endPressure gauge pressure at the end of the window (kPa)
   * @param meanPressure mean gauge pressure of the window (kPa)
   * @param compliance total compliance at the start of the hold, C (mL/kPa)
   * @param airAndHoses what it is made of
   * @param thermalSensitivity θ (mL/K)
   * @param drift Ṫ (K/min)
   * @param driftU its standard uncertainty (K/min)
   * @param driftMeasured whether a thermometer gave it
   * @param preHold whether a pre-hold gave it
   * @param settled volume that settled within the window (mL)
   * @param settledU its standard uncertainty (mL); 0 in verdicts stored before it was kept
   * @param pumpedUpAgain whether a second pump-up told settling from a leak that shuts with falling
   *     pressure; without it a tight verdict holds only up to the end pressure
   * @param hole diameter of a hole that leaks as much coolant (mm), for a positive rate
   * @param asCoolant what a rate of air is worth in coolant
   */
  public record Rate(
      LeakLaw law,
      List<LeakLaw.Weight> laws,
      double rate,
      Budget budget,
      DecisionLimits limits,
      double leakThreshold,
      double endPressure,
      double meanPressure,
      double compliance,
      AirAndHoses airAndHoses,
      double thermalSensitivity,
      double drift,
      double driftU,
      boolean driftMeasured,
      boolean preHold,
      double settled,
      double settledU,
      boolean pumpedUpAgain,
      OptionalDouble hole,
      Optional<AsCoolant> asCoolant) {
    /** What was stored without them has no weights. */
    @SuppressWarnings("NullAway") // a stored answer may lack the member
    public Rate {
      laws = laws == null ? List.of() : List.copyOf(laws);
      asCoolant = asCoolant == null ? Optional.empty() : asCoolant;
    }

    /** Standard uncertainty u (mL/min). */
    public double u() {
      return budget.total();
    }

    /** Upper limit of the true rate, 95 % (mL/min). */
    public double upper() {
      return limits.upper(rate);
    }
  }

  /** Rates that differ by less of their uncertainty are the same (1) (our judgement, untested). */
  private static final double SAME = 0.1;

  /** Whether it says another verdict, or another rate, of the same test. */
  public boolean saysOtherwiseThan(PressureTestResult other) {
    double apart = rate.map(Rate::rate).orElse(0.0) - other.rate.map(Rate::rate).orElse(0.0);
    return verdict != other.verdict || Math.abs(apart) > SAME * rate.map(Rate::u).orElse(0.0);
  }

  /**
   * The maker's rule on this trace.
   *
   * @param rule the rule
   * @param met whether it is met
   * @param letsThrough the leak it would let through here (mL/min)
   */
  public record MakerRuleResult(MakerRule rule, MakerRule.Met met, double letsThrough) {}
}
