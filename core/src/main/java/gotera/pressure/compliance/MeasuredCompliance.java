package gotera.pressure.compliance;

import gotera.fitting.LeastSquares;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What air and hoses give, measured: by volumes let out or pushed in, or by strokes of the pump.
 * Both are linear in C_h and V_g, so weighted least squares gives both with their covariance, which
 * is nearly −1 correlated: the uncertainty of the total comes from the whole of it.
 *
 * @param hose C_h (mL/kPa)
 * @param air V_g at the start of the hold (mL)
 * @param covariance of (C_h, V_g)
 */
public record MeasuredCompliance(double hose, double air, double[][] covariance) {

  /**
   * What is known of the hoses beforehand.
   *
   * @param hose estimate of C_h (mL/kPa)
   * @param u its standard uncertainty (mL/kPa)
   */
  public record HosePrior(double hose, double u) {}

  /**
   * From volumes let out or pushed in; the gas of each follows from the start of the hold, V_g·P
   * being constant.
   *
   * @param draws at least one
   * @param prior what is known of the hoses; a single draw needs it, and where several are nearly
   *     alike nothing else tells hoses from air
   * @param holdStart gauge pressure at the start of the hold the result is for
   * @param readingU standard uncertainty of one gauge reading (kPa)
   */
  public static MeasuredCompliance fromDraws(
      List<Draw> draws,
      Optional<HosePrior> prior,
      GaugePressure holdStart,
      AbsolutePressure atmosphere,
      double readingU) {
    double start = holdStart.above(atmosphere).kilopascals();
    List<double[]> rows = new ArrayList<>();
    // the noise of a reading is worth C·u of volume: the compliance is needed to weigh, so twice
    double hose = prior.map(HosePrior::hose).orElse(Geometry.USUAL_HOSE);
    double air = Math.max(0, draws.get(0).trappedAirBefore(hose, atmosphere));
    double perKilopascal = hose + air / draws.get(0).after().above(atmosphere).kilopascals();
    for (Draw draw : draws) {
      double p1 = draw.before().above(atmosphere).kilopascals();
      double p2 = draw.after().above(atmosphere).kilopascals();
      double u = Math.hypot(draw.volumeU(), Math.sqrt(2) * readingU * perKilopascal);
      rows.add(new double[] {p1 - p2, start / p2 - start / p1, draw.millilitresOut(), u});
    }
    return solve(rows, prior);
  }

  /**
   * From strokes of the pump.
   *
   * @param holdStart gauge pressure at the start of the hold the result is for
   * @param readingU standard uncertainty of one gauge reading (kPa)
   */
  public static MeasuredCompliance fromStrokes(
      Strokes strokes,
      Optional<HosePrior> prior,
      GaugePressure holdStart,
      AbsolutePressure atmosphere,
      double readingU) {
    double p0 = strokes.start().above(atmosphere).kilopascals();
    // a reading's noise is worth the slope of the work over the pressure; that slope hardly changes
    double slope =
        strokes.readings().stream()
            .mapToDouble(
                r ->
                    strokes.work(r, atmosphere)
                        / (r.gauge().kilopascals() - strokes.start().kilopascals()))
            .average()
            .orElseThrow();
    List<double[]> rows = new ArrayList<>();
    for (Strokes.Reading reading : strokes.readings()) {
      double p = reading.gauge().above(atmosphere).kilopascals();
      rows.add(
          new double[] {p * (p - p0), p - p0, strokes.work(reading, atmosphere), readingU * slope});
    }
    return solve(rows, prior)
        .pumpedUp(
            holdStart.kilopascals() - strokes.start().kilopascals(), strokes.strokeRelativeU());
  }

  /**
   * What air and hoses are after the pressure rose.
   *
   * @param rise (kPa)
   * @param s relative standard uncertainty of one stroke's volume
   */
  private MeasuredCompliance pumpedUp(double rise, double s) {
    // V_g = V_g0 + C_h·(p − p_start); one stroke's volume is common to all counts
    double v = air + hose * rise;
    double[][] c = covariance;
    double chh = c[0][0];
    double cha = c[0][1] + chh * rise;
    double caa = c[1][1] + 2 * rise * c[0][1] + rise * rise * chh;
    return new MeasuredCompliance(
        hose,
        v,
        new double[][] {
          {chh + s * s * hose * hose, cha + s * s * hose * v},
          {cha + s * s * hose * v, caa + s * s * v * v}
        });
  }

  /**
   * Rows of (factor of C_h, factor of V_g, observed, its noise). Neither can be below zero: what
   * comes out so is taken as none, and the other one alone is fitted; the covariance stays that of
   * both.
   */
  private static MeasuredCompliance solve(List<double[]> rows, Optional<HosePrior> prior) {
    List<double[]> all = new ArrayList<>(rows);
    prior.ifPresent(p -> all.add(new double[] {1, 0, p.hose(), p.u()}));
    if (all.size() < 2) {
      throw new IllegalArgumentException("one measurement needs an estimate of the hoses");
    }
    LeastSquares fit = fit(all, 0, 1);
    double hose = fit.coefficients()[0];
    double air = fit.coefficients()[1];
    if (air < 0) {
      hose = Math.max(0, fit(all, 0).coefficients()[0]);
      air = 0;
    } else if (hose < 0) {
      air = Math.max(0, fit(all, 1).coefficients()[0]);
      hose = 0;
    }
    return new MeasuredCompliance(hose, air, fit.covariance());
  }

  /** Fits some of the factors. */
  private static LeastSquares fit(List<double[]> rows, int... factors) {
    return LeastSquares.of(
        rows.stream()
            .map(r -> java.util.Arrays.stream(factors).mapToDouble(f -> r[f]).toArray())
            .toArray(double[][]::new),
        rows.stream().mapToDouble(r -> r[2]).toArray(),
        rows.stream().mapToDouble(r -> r[3]).toArray());
  }

  /**
   * Relative standard uncertainty of the total, r (1).
   *
   * @param dry pressure of the trapped air without its vapour at the start of the hold
   */
  public double relativeUncertainty(AbsolutePressure dry) {
    double j = 1 / dry.kilopascals();
    double variance = covariance[0][0] + 2 * j * covariance[0][1] + j * j * covariance[1][1];
    return Math.sqrt(Math.max(0, variance)) / (hose + j * air);
  }

  /**
   * As the computation of a rate takes it. Air or hoses that come out below zero within their
   * uncertainty are taken as none.
   *
   * @param dry pressure of the trapped air without its vapour at the start of the hold
   */
  public AirAndHoses airAndHoses(AbsolutePressure dry) {
    double h = Math.max(0, hose);
    double v = Math.max(0, air);
    double total = Math.max(h + v / dry.kilopascals(), 1e-6);
    double r = relativeUncertainty(dry) * (hose + air / dry.kilopascals()) / total;
    return new AirAndHoses(
        new Volume(Math.max(v, h == 0 ? 1e-3 : 0)), h, Math.abs(r), AirAndHoses.Source.MEASURED);
  }
}
