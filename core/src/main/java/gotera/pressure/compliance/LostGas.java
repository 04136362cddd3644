package gotera.pressure.compliance;

/**
 * Air that went through a leak between the start of the hold and another moment, as a volume at a
 * reference pressure: the amount P·V/T of the trapped gas at the start less that now, with V = V_g
 * + C_h·(p − p0) − (β − α)·V_L·(T − T0), by the law of ideal gases. Pumped out it left; into an
 * evacuated system it came, and the volume counts the other way.
 *
 * @param air gas at the start, V_g (mL)
 * @param hose compliance of the hoses, C_h (mL/kPa)
 * @param liquid liquid in the system, V_L (mL); zero in a dry one
 * @param expansion β − α (1/K)
 * @param gauge0 gauge pressure at the start, p0 (kPa)
 * @param atmosphere pressure of the surrounding air (kPa)
 * @param vapour0 water vapour at the start, p_v0 (kPa)
 * @param kelvin0 temperature at the start, T0 (K)
 * @param reference pressure that volumes are quoted at (kPa, absolute)
 * @param inward whether air came in
 */
public record LostGas(
    double air,
    double hose,
    double liquid,
    double expansion,
    double gauge0,
    double atmosphere,
    double vapour0,
    double kelvin0,
    double reference,
    boolean inward)
    implements Loss {
  private static final double LEAST = 1e-6; // mL/kPa

  @Override
  public double at(double gauge, double kelvin, double vapour) {
    double dry = gauge + atmosphere - vapour;
    double left = start() - dry * room(gauge, kelvin) * kelvin0 / kelvin;
    return sign() * left / reference;
  }

  @Override
  public double perKilopascal(double gauge, double kelvin, double vapour) {
    double dry = gauge + atmosphere - vapour;
    double slope = (room(gauge, kelvin) + dry * hose) * kelvin0 / kelvin / reference;
    // very soft hoses that fell very far would leave the gas no room at all
    return Math.max(LEAST, slope);
  }

  @Override
  public double gauge(double lost, double kelvin, double vapour) {
    double amount = (start() - sign() * lost * reference) * kelvin / kelvin0;
    // dry·(a + hose·dry) = amount, with a the room at no pressure at all
    double a = room(vapour - atmosphere, kelvin);
    double dry = hose == 0 ? amount / a : (-a + Math.sqrt(a * a + 4 * hose * amount)) / (2 * hose);
    return dry + vapour - atmosphere;
  }

  private double room(double gauge, double kelvin) {
    return air + hose * (gauge - gauge0) - expansion * liquid * (kelvin - kelvin0);
  }

  private double start() {
    return (gauge0 + atmosphere - vapour0) * air;
  }

  private double sign() {
    return inward ? -1 : 1;
  }
}
