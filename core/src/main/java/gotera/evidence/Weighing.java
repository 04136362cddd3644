package gotera.evidence;

import gotera.evidence.Worlds.Effect;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Evidence weighed together and each left out in turn, so that it can be told what each of them
 * moved. What a finding does to the worlds is reckoned once.
 *
 * @param findings the findings
 * @param all what is known from all of them
 * @param without probabilities of the places without each of them, in their order
 */
public record Weighing(List<Evidence> findings, Posterior all, List<double[]> without) {

  /** Weighs findings of places, each as likely as its own prior has it. */
  public static Weighing of(List<Hypothesis> places, List<Evidence> findings) {
    Worlds worlds = new Worlds(places);
    return of(worlds, worlds.prior(), findings);
  }

  /** The same, where the number of places that leak has odds of its own. */
  public static Weighing of(List<Hypothesis> places, FaultCount count, List<Evidence> findings) {
    Worlds worlds = new Worlds(places);
    return of(worlds, worlds.prior(count), findings);
  }

  private static Weighing of(Worlds worlds, double[] prior, List<Evidence> findings) {
    double[] log = prior.clone();
    for (int k = 0; k < log.length; k++) {
      log[k] = Math.log(Math.max(Worlds.LEAST, log[k]));
    }
    List<Effect> effects = findings.stream().map(worlds::effect).toList();
    for (Effect effect : effects) {
      for (int i = 0; i < effect.moved().length; i++) {
        log[effect.moved()[i]] += Math.log(effect.ratio()[i]);
      }
    }
    Posterior all = new Posterior(worlds, log);
    return new Weighing(List.copyOf(findings), all, effects.stream().map(all::without).toList());
  }

  /** The findings that moved a place, those that moved it most first. */
  public List<Posterior.Reason> reasons(String place) {
    double with = Posterior.logOdds(all.marginal(place));
    int number = all.number(place);
    return IntStream.range(0, findings.size())
        .mapToObj(
            i ->
                new Posterior.Reason(
                    findings.get(i).label(), with - Posterior.logOdds(without.get(i)[number])))
        .sorted(
            Comparator.comparingDouble((Posterior.Reason r) -> Math.abs(r.logRatio())).reversed())
        .toList();
  }
}
