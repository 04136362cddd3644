package gotera.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Findings weighed together and each left out in turn, so that it can be told what each of them
 * moved. A likelihood is reckoned once for each set.
 *
 * @param findings the findings
 * @param all what is known from all of them
 * @param without what would be known without each of them, in their order
 */
record Weighing(List<Finding> findings, Posterior all, List<Posterior> without) {

  static Weighing of(List<Hypothesis> places, List<Finding> findings) {
    Posterior before = Posterior.of(places, List.of());
    List<double[]> factors = findings.stream().map(before::likelihoods).toList();
    List<Posterior> without = new ArrayList<>();
    for (int i = 0; i < factors.size(); i++) {
      List<double[]> others = new ArrayList<>(factors);
      others.remove(i);
      without.add(before.weighed(others));
    }
    return new Weighing(List.copyOf(findings), before.weighed(factors), List.copyOf(without));
  }

  /** The findings that moved a place, those that moved it most first. */
  List<Posterior.Reason> reasons(String place) {
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
