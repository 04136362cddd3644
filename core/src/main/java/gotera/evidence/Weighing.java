package gotera.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Findings weighed together and each left out in turn, so that it can be told what each of them
 * moved. A likelihood is reckoned once for each world.
 *
 * @param findings the findings
 * @param all what is known from all of them
 * @param without what would be known without each of them, in their order
 */
public record Weighing(List<Finding> findings, Posterior all, List<Posterior> without) {

  /** Weighs findings of places. */
  public static Weighing of(List<Hypothesis> places, List<Finding> findings) {
    Worlds worlds = new Worlds(places);
    double[] sum = Posterior.logs(worlds.prior());
    List<double[]> logs = new ArrayList<>();
    for (Finding f : findings) {
      double[] log = Posterior.logs(worlds.likelihoods(f));
      Posterior.add(sum, log);
      logs.add(log);
    }
    List<Posterior> without = new ArrayList<>();
    for (double[] log : logs) {
      double[] rest = new double[sum.length];
      for (int k = 0; k < rest.length; k++) {
        rest[k] = sum[k] - log[k];
      }
      without.add(Posterior.ofLogs(worlds, rest));
    }
    return new Weighing(List.copyOf(findings), Posterior.ofLogs(worlds, sum), without);
  }

  /** The findings that moved a place, those that moved it most first. */
  public List<Posterior.Reason> reasons(String place) {
    double with = Posterior.logOdds(all.marginal(place));
    List<Posterior.Reason> reasons = new ArrayList<>();
    for (int i = 0; i < findings.size(); i++) {
      reasons.add(
          new Posterior.Reason(
              findings.get(i).label(), with - Posterior.logOdds(without.get(i).marginal(place))));
    }
    reasons.sort(
        Comparator.comparingDouble((Posterior.Reason r) -> Math.abs(r.logRatio())).reversed());
    return reasons;
  }
}
