package gotera.coolant;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.Temperature;

/**
 * Saturation pressure of water.
 *
 * <p>IAPWS R7-97(2012), Industrial Formulation 1997, region 4, equation 30 with the coefficients of
 * table 34, from 273.15 K to 647.096 K; below, the pressure above ice after IAPWS R14-08(2011),
 * equation 6, from 50 K. Refuses anything else.
 */
public final class SaturationPressure {
  private static final double[] N = {
    0.11670521452767e4,
    -0.72421316703206e6,
    -0.17073846940092e2,
    0.12020824702470e5,
    -0.32325550322333e7,
    0.14915108613530e2,
    -0.48232657361591e4,
    0.40511340542057e6,
    -0.23855557567849,
    0.65017534844798e3
  };

  // above ice, R14-08(2011), table 2
  private static final double TRIPLE_KELVINS = 273.16;
  private static final double TRIPLE_KILOPASCALS = 0.611657;
  private static final double[] ICE_FACTORS = {-0.212144006e2, 0.273203819e2, -0.610598130e1};
  private static final double[] ICE_POWERS = {0.333333333e-2, 0.120666667e1, 0.170333333e1};

  private SaturationPressure() {}

  /** Pressure at which water boils at a temperature. */
  public static AbsolutePressure of(Temperature temperature) {
    double t = temperature.kelvins();
    if (t < 50 || t > 647.096) {
      throw new IllegalArgumentException(
          "saturation pressure is known from 50 to 647.096 K, not at " + t + " K");
    }
    if (t < 273.15) {
      return aboveIce(t);
    }
    double theta = t + N[8] / (t - N[9]);
    double a = theta * theta + N[0] * theta + N[1];
    double b = N[2] * theta * theta + N[3] * theta + N[4];
    double c = N[5] * theta * theta + N[6] * theta + N[7];
    double megapascals = Math.pow(2 * c / (-b + Math.sqrt(b * b - 4 * a * c)), 4);
    return new AbsolutePressure(megapascals * 1000);
  }

  private static AbsolutePressure aboveIce(double kelvins) {
    double theta = kelvins / TRIPLE_KELVINS;
    double sum = 0;
    for (int i = 0; i < ICE_FACTORS.length; i++) {
      sum += ICE_FACTORS[i] * Math.pow(theta, ICE_POWERS[i]);
    }
    return new AbsolutePressure(TRIPLE_KILOPASCALS * Math.exp(sum / theta));
  }
}
