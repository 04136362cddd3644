package gotera.pressure.compliance;

/** What a pressure and a temperature during the hold mean in volume that went through the leak. */
public sealed interface Loss permits LostVolume, LostGas {
  /**
   * Volume that went through the leak since the start (mL).
   *
   * @param gauge gauge pressure now, p (kPa)
   * @param kelvin temperature now, T (K)
   * @param vapour water vapour now, p_v (kPa)
   */
  double at(double gauge, double kelvin, double vapour);

  /** How much volume a kilopascal on the gauge stands for now, |dV/dp| (mL/kPa). */
  double perKilopascal(double gauge, double kelvin, double vapour);

  /** Gauge pressure at which so much would have gone (kPa). */
  double gauge(double lost, double kelvin, double vapour);
}
