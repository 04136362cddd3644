package gotera.pressure.verdict;

import java.util.List;

/**
 * A condition that was not met, with the numbers that say by how much.
 *
 * @param code which condition
 * @param numbers figures of the sentence, in the order {@link Code} names them
 */
public record Reason(Code code, List<Double> numbers) {
  /** Keeps its own copy. */
  public Reason {
    numbers = List.copyOf(numbers);
  }

  /** A reason with its figures. */
  public static Reason of(Code code, Double... numbers) {
    return new Reason(code, List.of(numbers));
  }

  /** The conditions, each with the figures its sentence needs. */
  public enum Code {
    /** Highest reading (kPa), limit (kPa). */
    ABOVE_LIMIT("above-limit"),
    /** Highest reading (kPa), end of the gauge's scale (kPa). */
    OUT_OF_RANGE("out-of-range"),
    /** A reading (kPa), lowest there can be at this air pressure (kPa). */
    BELOW_VACUUM("below-vacuum"),
    /** Length of the trace (h), longest that is a hold (h). */
    TOO_LONG("too-long"),
    /** First reading (kPa), rated pressure (kPa): nobody read the gauge at the valve. */
    START_NOT_READ("start-not-read"),
    /** The gauge's calibration is out of date. */
    NOT_CALIBRATED("not-calibrated"),
    /**
     * The tester's own leak (mL/min), most that is subtracted (mL/min): repair the tester first.
     */
    TESTER_LEAKS("tester-leaks"),
    /** Rate (mL/min), its lowest plausible value (mL/min). */
    RISING("rising"),
    /** Temperature (°C), highest at which a rate can be proven (°C). */
    TOO_WARM("too-warm"),
    /** Temperature (°C): the expansion of the coolant is not known there. */
    TEMPERATURE_OUTSIDE_TABLE("temperature-outside-table"),
    /** Readings in the window. */
    TOO_FEW_READINGS("too-few-readings"),
    /** Uncertainty from temperature (mL/min), acceptance limit (mL/min). */
    TEMPERATURE_UNSURE("temperature-unsure"),
    /** Rate (mL/min), threshold for a leak (mL/min). */
    RATE_NOT_ZERO("rate-not-zero"),
    /** Upper limit (mL/min), acceptance limit (mL/min). */
    UPPER_LIMIT_TOO_HIGH("upper-limit-too-high"),
    /** Detection limit (mL/min), acceptance limit (mL/min). */
    DETECTION_LIMIT_TOO_HIGH("detection-limit-too-high"),
    /** Scatter over expectation, χ²/ν. */
    CURVE_NOT_DESCRIBED("curve-not-described"),
    /** The readings stay on one side of the fitted curve for long. */
    RESIDUALS_IN_RUNS("residuals-in-runs"),
    /** Mean pressure (kPa), rated pressure (kPa). */
    PRESSURE_TOO_LOW("pressure-too-low"),
    /** End pressure (kPa), start pressure (kPa). */
    FELL_TOO_FAR("fell-too-far"),
    /** What air and hoses give was only estimated from sizes. */
    COMPLIANCE_NOT_MEASURED("compliance-not-measured"),
    /** Relative standard uncertainty of the compliance (1). */
    COMPLIANCE_UNSURE("compliance-unsure"),
    /** A test with air never signs off. */
    DRY_TEST("dry-test"),
    /** A sign-off needs a draw of about 2 mL at the end. */
    CLOSING_DRAW_MISSING("closing-draw-missing"),
    /** Step of the closing draw (kPa), step predicted (kPa). */
    CLOSING_DRAW_WRONG("closing-draw-wrong"),
    /** Minutes since a higher pressure, release or draw (min). */
    HOSES_RECOVER("hoses-recover"),
    /** Drop of the needle (kPa), two steps of the gauge (kPa). */
    DROP_WITHIN_STEPS("drop-within-steps");

    private final String word;

    Code(String word) {
      this.word = word;
    }

    /** The word for it in files and messages. */
    public String word() {
      return word;
    }
  }
}
