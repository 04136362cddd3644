package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.suspects.ShopOdds.Closed;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ShopOddsTests {
  private static final Circuit USUAL = CircuitBuilder.of(CircuitPresets.USUAL);

  @Test
  void aWorkshopWithoutJobsChangesNothing() {
    assertThat(ShopOdds.of(List.of()).parts()).isEmpty();
    Case plain = new Case(USUAL, List.of(), AsNow.OPEN);
    assertThat(plain.in(ShopOdds.of(List.of())).places()).isEqualTo(plain.places());
  }

  /** The posterior mean of a Dirichlet, by hand. */
  @Test
  void theFactorIsTheRatioOfPosteriorToPriorShare() {
    List<Closed> jobs = Collections.nCopies(10, new Closed(USUAL, Set.of("pump.gasket")));
    List<PlaceFacts> places = Vocabulary.published().places(USUAL);
    double all = places.stream().mapToDouble(PlaceFacts::prior).sum();
    double share =
        places.stream()
                .filter(p -> p.place().startsWith("pump."))
                .mapToDouble(PlaceFacts::prior)
                .sum()
            / all;
    double posterior = (ShopOdds.PSEUDO_JOBS * share + 10) / (ShopOdds.PSEUDO_JOBS + 10);
    ShopOdds odds = ShopOdds.of(jobs);
    assertThat(odds.parts().get("pump").factor()).isCloseTo(posterior / share, within(1e-12));
    assertThat(odds.parts().get("radiator").factor())
        .isCloseTo(ShopOdds.PSEUDO_JOBS / (ShopOdds.PSEUDO_JOBS + 10.0), within(1e-12));
    // the shares together are one before and after
    double sum =
        odds.parts().values().stream().mapToDouble(p -> p.factor() * p.expected() / 10).sum();
    assertThat(sum).isCloseTo(1, within(1e-9));
  }

  @Test
  void whatWasFoundOftenIsSuspectedMoreAndInNoOrderOfJobs() {
    List<Closed> jobs = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      jobs.add(new Closed(USUAL, Set.of(i % 3 == 0 ? "radiator.core" : "lower-hose.radiator-end")));
    }
    ShopOdds odds = ShopOdds.of(jobs);
    Collections.shuffle(jobs, new Random(2));
    assertThat(ShopOdds.of(jobs).parts().keySet()).isEqualTo(odds.parts().keySet());
    ShopOdds other = ShopOdds.of(jobs);
    odds.parts()
        .forEach(
            (part, p) ->
                assertThat(other.parts().get(part).factor()).isCloseTo(p.factor(), within(1e-9)));
    Case plain = new Case(USUAL, List.of(), AsNow.OPEN);
    double given = probability(plain, "lower-hose.radiator-end");
    assertThat(probability(plain.in(odds), "lower-hose.radiator-end")).isGreaterThan(given);
  }

  private static double probability(Case of, String place) {
    return Assessment.of(of).posterior().suspects().stream()
        .filter(s -> s.place().equals(place))
        .findFirst()
        .orElseThrow()
        .probability();
  }

  /**
   * Over simulated workshops with shares of their own, the expected Brier score of the priors is
   * lower after 20 jobs than before, and lower still after 100; the expectation is exact, for the
   * true shares are known: (p − t)² more than that of the truth.
   */
  @Test
  void simulatedWorkshopsAreKnownBetterAfterTwentyJobs() {
    double before = 0;
    double[] after = new double[2];
    int worse = 0;
    int shops = Seeds.cases(15, 60);
    for (int shop = 0; shop < shops; shop++) {
      Random random = new Random(100 + shop);
      Map<String, Double> odds = new HashMap<>();
      for (PlaceFacts p : Vocabulary.published().places(USUAL)) {
        odds.computeIfAbsent(Case.part(p.place()), k -> Math.exp(0.8 * random.nextGaussian()));
      }
      double given = excess(ShopOdds.NONE, odds);
      before += given;
      List<Closed> closed = new ArrayList<>();
      for (int n = 0; n < 2; n++) {
        while (closed.size() < (n == 0 ? 20 : 100)) {
          SimulatedJob job = SimulatedJob.of(random, false, odds);
          if (!job.faulty().isEmpty()) {
            closed.add(job.closed());
          }
        }
        double learned = excess(ShopOdds.of(closed), odds);
        after[n] += learned;
        worse += n == 1 && learned > given ? 1 : 0;
      }
    }
    assertThat(after[0]).isLessThan(before);
    assertThat(after[1]).isLessThan(after[0]);
    assertThat(worse).as("workshops that are worse off after 100 jobs").isLessThan(shops / 5);
  }

  private static double excess(ShopOdds learned, Map<String, Double> truth) {
    List<PlaceFacts> places = Vocabulary.published().places(USUAL);
    double sum = places.stream().mapToDouble(p -> truth(p, truth)).sum();
    double known = places.stream().mapToDouble(p -> learned.of(p).prior()).sum();
    double excess = 0;
    for (PlaceFacts p : places) {
      // shares, for how many leaks there are in all is not learned
      excess += Math.pow(learned.of(p).prior() / known - truth(p, truth) / sum, 2);
    }
    return excess;
  }

  private static double truth(PlaceFacts p, Map<String, Double> odds) {
    return p.likelier(odds.get(Case.part(p.place()))).prior();
  }
}
