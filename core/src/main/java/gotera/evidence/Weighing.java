package gotera.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Findings weighed together and each left out in turn, so that it can be told what each of them
 * moved. A likelihood is reckoned once for each world.
 *
 * @param findings the findings
 * @param all what is known from all of them
 * @param without probabilities of the places without each of them, in their order
 */
public record Weighing(List<Finding> findings, Posterior all, List<double[]> without) {

  /** So many likelihoods are multiplied before a logarithm is taken: none is below 1e-12. */
  private static final int AT_ONCE = 20;

  /** Weighs findings of places. */
  public static Weighing of(List<Hypothesis> places, List<Finding> findings) {
    Worlds worlds = new Worlds(places);
    double[] sum = Posterior.logs(worlds.prior());
    double[] product = new double[sum.length];
    Arrays.fill(product, 1);
    List<double[]> likelihoods = new ArrayList<>();
    for (Finding f : findings) {
      double[] likelihood = worlds.likelihoods(f);
      for (int k = 0; k < product.length; k++) {
        product[k] *= Math.max(Posterior.LEAST, likelihood[k]);
      }
      likelihoods.add(likelihood);
      if (likelihoods.size() % AT_ONCE == 0 || likelihoods.size() == findings.size()) {
        for (int k = 0; k < product.length; k++) {
          sum[k] += Math.log(product[k]);
        }
        Arrays.fill(product, 1);
      }
    }
    Posterior all = Posterior.ofLogs(worlds, sum);
    return new Weighing(
        List.copyOf(findings), all, likelihoods.stream().map(all::without).toList());
  }

  /** The findings that moved a place, those that moved it most first. */
  public List<Posterior.Reason> reasons(String place) {
    double with = Posterior.logOdds(all.marginal(place));
    int number = all.number(place);
    List<Posterior.Reason> reasons = new ArrayList<>();
    for (int i = 0; i < findings.size(); i++) {
      reasons.add(
          new Posterior.Reason(
              findings.get(i).label(), with - Posterior.logOdds(without.get(i)[number])));
    }
    reasons.sort(
        Comparator.comparingDouble((Posterior.Reason r) -> Math.abs(r.logRatio())).reversed());
    return reasons;
  }
}
