package gotera.pressure.setup;

import gotera.coolant.CoolantMixture;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance.Purpose;

/**
 * The usual values that a description begins with, or that stand for what nobody said. Whoever
 * describes a hold sees and changes them; a default that was taken is named with the verdict.
 */
public final class Usual {
  /** Steps of a needle gauge, half a psi (kPa) (common practice, no source). */
  public static final double GAUGE_STEP = 3.4;

  /** Repeatability of that gauge (kPa) (our judgement, untested). */
  public static final double GAUGE_REPEATABILITY = 1.0;

  /** Repeatability of another instrument as a share of its step (1) (our judgement, untested). */
  public static final double REPEATABILITY = 0.5;

  /** Wander of a gauge's zero during a hold (kPa) (our judgement, untested). */
  public static final double ZERO_DRIFT = 0.1;

  /** Air around, and coolant of a cold engine (°C) (our judgement, untested). */
  public static final double ROOM = 20;

  /** Strength of the coolant (1). */
  public static final double STRENGTH = CoolantMixture.USUAL_STRENGTH;

  /** Coolant of a car or small van (mL) (our judgement, untested). */
  public static final double LIQUID = 8000;

  /** Height of the air gap below the brim (mm) (our judgement, untested). */
  public static final double GAP = 20;

  /** Free area at the gap (cm²) (our judgement, untested). */
  public static final double GAP_AREA = 12;

  /** Air in the tester's hose and adapter (mL) (our judgement, untested). */
  public static final double TESTER_AIR = 60;

  /**
   * Relative standard uncertainty of the room in an emptied system (1): it holds air as the maker
   * says it holds coolant (our judgement, untested).
   */
  public static final double CAPACITY_U = 0.10;

  /** Relative standard uncertainty of an estimate of the hoses (1) (our judgement, untested). */
  public static final double HOSE_U = 0.3;

  /** Even hoses said to give nothing are known no better than this (mL/kPa) (our judgement). */
  public static final double LEAST_HOSE = 0.05;

  /** A draw that measures well (mL) (our judgement, untested). */
  public static final double DRAW = 20;

  /** A draw that closes a sign-off (mL) (our judgement, untested). */
  public static final double CLOSING_DRAW = 2;

  /** Trapped air of a plan (mL) (our judgement, untested). */
  public static final double PLANNED_AIR = 150;

  /** Most trapped air that a plan goes through (mL) (our judgement, untested). */
  public static final double MOST_PLANNED_AIR = 600;

  /** Time between readings of a plan (s) (our judgement, untested). */
  public static final double INTERVAL = 30;

  /** Steps of a plan's gauge (kPa), and where psi are read (psi) (our judgement, untested). */
  public static final double PLANNED_STEP = 0.5;

  /** {@link #PLANNED_STEP} in psi. */
  public static final double PLANNED_STEP_PSI = 0.1;

  /** Steps of a plan's thermometer (K) (our judgement, untested). */
  public static final double THERMOMETER_STEP = 0.1;

  private Usual() {}

  /** A thermometer of which only the step is known (K). */
  public static Thermometer thermometer(double step) {
    return new Thermometer(step, REPEATABILITY * step);
  }

  /** What a test of a repair is usually for, and what a first one is. */
  public static Purpose purpose(boolean afterRepair) {
    return afterRepair ? Purpose.SIGN_OFF : Purpose.SEARCH;
  }
}
