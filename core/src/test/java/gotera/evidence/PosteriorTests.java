package gotera.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class PosteriorTests {

  /** Worked out by hand, set by set. */
  @Nested
  class TheWorkedExample {
    private final List<Hypothesis> places =
        List.of(new Hypothesis("A", 0.20), new Hypothesis("B", 0.10), new Hypothesis("E", 0.05));
    private final List<Evidence> findings =
        List.of(
            new Evidence.OfTheWhole(Named.of("loss complained of"), true, 0.9, 0.05),
            new Evidence.AtPlace(Named.of("B dry under pressure"), "B", false, 0.85, 0.02),
            new Evidence.InRegion(
                Named.of("drip at a spot"), true, Map.of("A", 0.6, "B", 0.3, "E", 0.1), 0.03));
    private final Posterior posterior = Posterior.of(places, findings);

    @Test
    void givesTheProbabilityOfEverySet() {
      Close.to("none", posterior.probability(), 0.0093, 5e-5);
      Close.to("A", posterior.probability("A"), 0.8556, 5e-5);
      Close.to("B", posterior.probability("B"), 0.0305, 5e-5);
      Close.to("elsewhere", posterior.probability("E"), 0.0374, 5e-5);
      Close.to("A and B", posterior.probability("B", "A"), 0.0173, 5e-5);
      Close.to("A and elsewhere", posterior.probability("A", "E"), 0.0479, 5e-5);
      Close.to("B and elsewhere", posterior.probability("B", "E"), 0.0019, 5e-5);
    }

    @Test
    void givesEveryPlaceItsProbability() {
      Close.to("A", posterior.marginal("A"), 0.9208, 5e-5);
      Close.to("B", posterior.marginal("B"), 0.0498, 5e-5);
      Close.to("elsewhere", posterior.marginal("E"), 0.0872, 5e-5);
      Close.to("entropy (bit)", posterior.entropy(), 0.9151, 5e-5);
      assertThat(posterior.suspects())
          .extracting(Posterior.Suspect::place)
          .containsExactly("A", "E", "B");
    }

    @Test
    void saysWhatALookWouldTell() {
      Check look = look("A", 10, 0.8);
      Close.to("P(wet)", posterior.chance(look.outcomes().get(0)), 0.7382, 5e-5);
      Close.to("gain (bit)", look.gain(posterior), 0.1534, 5e-5);
      Close.to("per minute (bit/min)", look.gain(posterior) / look.minutes(), 0.0153, 5e-5);
    }

    @Test
    void namesWhatMovedAPlace() {
      List<Posterior.Reason> reasons = Posterior.reasons(places, findings, "B");
      assertThat(reasons.get(0).label().toString()).isEqualTo("B dry under pressure");
      assertThat(reasons.get(0).logRatio()).isNegative();
      double[] range = Posterior.range(places, findings, "A");
      assertThat(range[0]).isLessThan(posterior.marginal("A"));
      assertThat(range[1]).isGreaterThan(posterior.marginal("A"));
    }
  }

  @Test
  void lawsOfProbabilityHoldWhateverIsFound() {
    for (Random random : Seeds.of(40).toList()) {
      List<Hypothesis> places = places(random, 8);
      List<Evidence> findings = findings(random, 6);
      Posterior posterior = Posterior.of(places, findings);
      double expected = 0;
      for (Hypothesis h : places) {
        double p = posterior.marginal(h.place());
        assertThat(p).isBetween(0.0, 1.0);
        expected += p;
      }
      assertThat(expected).as("at most two leak").isLessThanOrEqualTo(2 + 1e-9);
      List<Evidence> other = new ArrayList<>(findings);
      Collections.shuffle(other, random);
      Close.to(
          "in any order",
          Posterior.of(places, other).marginal("p0"),
          posterior.marginal("p0"),
          1e-12);
      Check check = look("p1", 3, Seeds.between(random, 0.3, 0.99));
      double sum = check.outcomes().stream().mapToDouble(posterior::chance).sum();
      Close.to("something is seen", sum, 1, 1e-12);
      assertThat(check.gain(posterior)).isGreaterThanOrEqualTo(0);
      // what one expects to think afterwards is what one thinks now
      double mean = 0;
      for (Evidence outcome : check.outcomes()) {
        mean += posterior.chance(outcome) * posterior.marginal("p1", outcome);
      }
      Close.to("no news on the average", mean, posterior.marginal("p1"), 1e-12);
    }
  }

  @Nested
  class AMeasuredRate {
    private final List<Hypothesis> places =
        List.of(new Hypothesis("hose", 0.2), new Hypothesis("shaft, when it turns", 0.2));

    @Test
    void farAboveItsUncertaintySaysThatSomethingLeaksThatActsNow() {
      Posterior p = Posterior.of(places, List.of(rate(0.8, 0.05)));
      assertThat(p.marginal("hose")).isGreaterThan(0.999);
      // two faults at once are left out beyond pairs, so the other keeps its prior within a little
      Close.to("what does not act keeps its prior", p.marginal("shaft, when it turns"), 0.2, 0.01);
    }

    @Test
    void ofZeroSpeaksAgainstWhatActsNowAndOnlyThat() {
      Posterior p = Posterior.of(places, List.of(rate(0.0, 0.02)));
      assertThat(p.marginal("hose")).isLessThan(0.05);
      Close.to("what does not act", p.marginal("shaft, when it turns"), 0.2, 0.01);
    }

    @Test
    void integratesToOneOverAllRates() {
      double sum = 0;
      for (double q = -1; q < 60; q += 0.01) {
        sum += rate(q, 0.1).one("hose", Mode.ALWAYS) * 0.01;
      }
      Close.to("probability", sum, 1, 0.02);
    }

    private Evidence rate(double q, double u) {
      return new MeasuredRate(Named.of("pressure test"), q, u, Set.of("hose"));
    }
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new Hypothesis("A", 1)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Evidence.AtPlace(Named.of("x"), "A", true, 1.2, 0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void whatContradictsItselfLeavesWhatWasKnown() {
    List<Hypothesis> one = List.of(new Hypothesis("A", 0.2));
    Evidence never = new Evidence.AtPlace(Named.of("never"), "A", true, 0, 0);
    Close.to("P(A)", Posterior.of(one, List.of(never)).marginal("A"), 0.2, 1e-9);
  }

  @Test
  void noRateDecidesAlone() {
    List<Hypothesis> two = List.of(new Hypothesis("A", 0.2), new Hypothesis("B", 0.1));
    for (double rate : new double[] {-1e6, -50, -1, 50, 1e5}) {
      Evidence far = new MeasuredRate(Named.of("test"), rate, 0.01, Set.of("A"));
      Evidence more = new MeasuredRate(Named.of("more"), -rate, 0.01, Set.of("B"));
      double p = Posterior.of(two, List.of(far, more)).marginal("A");
      assertThat(p).as("rate %s", rate).isBetween(1e-6, 1 - 1e-9);
    }
    Evidence negative = new MeasuredRate(Named.of("test"), -30, 0.1, Set.of("A"));
    Close.to("P(A)", Posterior.of(two, List.of(negative)).marginal("A"), 0.2, 0.01);
  }

  @Test
  void hundredsOfFindingsDoNotUnderflow() {
    List<Hypothesis> two = List.of(new Hypothesis("A", 0.2), new Hypothesis("B", 0.1));
    List<Evidence> many = new ArrayList<>();
    for (int i = 0; i < 600; i++) {
      many.add(new Evidence.AtPlace(Named.of("dry" + i), "A", false, 0.9, 0.01));
      many.add(new Evidence.AtPlace(Named.of("dry" + i), "B", false, 0.9, 0.01));
    }
    assertThat(Posterior.of(two, many).probability()).isGreaterThan(0.99);
  }

  private static Check look(String place, double minutes, double sensitivity) {
    Label label = Named.of("look " + place);
    return new Check(
        label,
        minutes,
        List.of(
            new Evidence.AtPlace(label, place, true, sensitivity, 0.02),
            new Evidence.AtPlace(label, place, false, sensitivity, 0.02)));
  }

  private static List<Hypothesis> places(Random random, int n) {
    List<Hypothesis> places = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      places.add(new Hypothesis("p" + i, Seeds.between(random, 0.01, 0.4)));
    }
    return places;
  }

  private static List<Evidence> findings(Random random, int n) {
    List<Evidence> findings = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      findings.add(
          random.nextBoolean()
              ? new Evidence.AtPlace(
                  Named.of("f" + i),
                  "p" + random.nextInt(8),
                  random.nextBoolean(),
                  Seeds.between(random, 0.3, 0.99),
                  Seeds.between(random, 0.01, 0.2))
              : new Evidence.InRegion(
                  Named.of("f" + i),
                  random.nextBoolean(),
                  Map.of("p1", 0.5, "p" + (2 + random.nextInt(5)), 0.3),
                  Seeds.between(random, 0.01, 0.2)));
    }
    return findings;
  }
}
