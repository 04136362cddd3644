package gotera.balance;

import gotera.pressure.law.LeakLaw;
import gotera.quantity.GaugePressure;
import gotera.uncertainty.DecisionLimits;
import java.util.List;

/**
 * How much of the measured rate the sites explain, all at the rated pressure. Drop counts share one
 * uncertain drop size, so their uncertainties add linearly; the rest in quadrature.
 *
 * @param rate measured rate (mL/min)
 * @param u its standard uncertainty (mL/min)
 * @param explained flow of each site, in the order given (mL/min)
 * @param unexplained what is left (mL/min); negative where the sites give more than was measured
 * @param unexplainedU its standard uncertainty (mL/min)
 */
public record LeakBalance(
    double rate, double u, List<Double> explained, double unexplained, double unexplainedU) {
  /**
   * Relative standard uncertainty of the drop size, common to a job (common practice, no source).
   */
  public static final double DROP_SIZE_U = 0.25;

  /**
   * The balance.
   *
   * @param rate measured rate at the rated pressure (mL/min)
   * @param u its standard uncertainty (mL/min)
   * @param sites what was measured at the sites
   * @param law law by which a site's flow is scaled to the rated pressure
   * @param rated the rated pressure
   */
  public static LeakBalance of(
      double rate, double u, List<SiteFlow> sites, LeakLaw law, GaugePressure rated) {
    List<Double> explained =
        sites.stream().map(s -> s.rate().millilitresPerMinute() * toRated(s, law, rated)).toList();
    double drops = 0;
    double square = u * u;
    for (int i = 0; i < sites.size(); i++) {
      SiteFlow site = sites.get(i);
      if (site.ownU().isPresent()) {
        square += Math.pow(site.ownU().getAsDouble() * toRated(site, law, rated), 2);
      } else {
        drops += explained.get(i);
      }
    }
    double sum = explained.stream().mapToDouble(Double::doubleValue).sum();
    return new LeakBalance(
        rate, u, explained, rate - sum, Math.sqrt(square + Math.pow(DROP_SIZE_U * drops, 2)));
  }

  private static double toRated(SiteFlow site, LeakLaw law, GaugePressure rated) {
    return site.pressure()
        .filter(p -> p.kilopascals() > 0)
        .map(p -> 1 / law.share(p.kilopascals(), rated.kilopascals()))
        .orElse(1.0);
  }

  /** Above it the unexplained rest is another leak, 95 % (mL/min). */
  public double critical() {
    return DecisionLimits.K * unexplainedU;
  }

  /** Whether the rest is more than its uncertainty: another leak. */
  public boolean anotherLeak() {
    return unexplained > critical();
  }
}
