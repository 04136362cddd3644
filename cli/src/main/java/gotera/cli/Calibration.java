package gotera.cli;

import gotera.suspects.PlaceFacts;
import gotera.suspects.ShopOdds;
import gotera.suspects.SimulatedJob;
import gotera.suspects.Vocabulary;
import java.io.PrintStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;

/** How often places leak that are given a probability, over simulated jobs. */
final class Calibration {
  private static final double[] EDGES = {0, 0.01, 0.03, 0.1, 0.2, 0.4, 0.6, 0.8, 0.95, 1.0000001};

  /** Closed jobs that simulated workshops learn from. */
  private static final int[] LEARNED_FROM = {20, 100};

  /** Later jobs each of them is asked of. */
  private static final int PER_SHOP = 10;

  /** How the odds of a part scatter between workshops (natural logarithm) (our judgement). */
  private static final double SHOPS_DIFFER = 0.8;

  private Calibration() {}

  /**
   * Places whose probabilities are alike.
   *
   * @param given mean of the probabilities given
   * @param leaking share of these places that leak
   * @param places how many there were
   */
  record Bin(double given, double leaking, long places) {}

  /** One place of one job. */
  private record Told(double probability, boolean leaks) {}

  static int run(int jobs, long seed, PrintStream out) {
    print("findings drawn from the model's own sensitivities", table(jobs, seed, false), out);
    print(
        "findings drawn from eyes that see three quarters as much and are misled twice as often",
        table(jobs, seed, true),
        out);
    for (int closed : LEARNED_FROM) {
      Brier brier = learned(jobs / PER_SHOP, closed, seed);
      out.printf(
          Locale.ROOT,
          "workshops of their own, after %d closed jobs: Brier score %.5f by the model's priors,"
              + " %.5f with the workshop's record%n",
          closed,
          brier.before(),
          brier.after());
    }
    return 0;
  }

  /** Brier score of all places: by the model's priors, and with the workshop's record. */
  record Brier(double before, double after) {}

  /** Simulated workshops whose parts leak in shares of their own, each asked of later jobs. */
  static Brier learned(int shops, int closed, long seed) {
    List<Brier> each =
        IntStream.range(0, Math.max(1, shops))
            .parallel()
            .mapToObj(i -> shop(new Random(seed * 7_000_003 + i), closed))
            .toList();
    return new Brier(
        each.stream().mapToDouble(Brier::before).average().orElse(0),
        each.stream().mapToDouble(Brier::after).average().orElse(0));
  }

  private static Brier shop(Random random, int closed) {
    Map<String, Double> odds = new HashMap<>();
    for (PlaceFacts p : Vocabulary.published().places()) {
      odds.computeIfAbsent(
          p.place().substring(0, Math.max(0, p.place().indexOf('.'))),
          part -> Math.exp(SHOPS_DIFFER * random.nextGaussian()));
    }
    List<ShopOdds.Closed> past = new ArrayList<>();
    while (past.size() < closed) {
      SimulatedJob job = SimulatedJob.of(random, false, odds);
      if (!job.faulty().isEmpty()) {
        past.add(job.closed());
      }
    }
    ShopOdds record = ShopOdds.of(past);
    double before = 0;
    double after = 0;
    long places = 0;
    for (int i = 0; i < PER_SHOP; i++) {
      SimulatedJob job = SimulatedJob.of(random, false, odds);
      Map<String, Double> given = job.probabilities();
      Map<String, Double> known = job.probabilities(record);
      for (Map.Entry<String, Double> g : given.entrySet()) {
        double leaks = job.faulty().containsKey(g.getKey()) ? 1 : 0;
        before += Math.pow(g.getValue() - leaks, 2);
        after += Math.pow(known.getOrDefault(g.getKey(), 0.0) - leaks, 2);
        places++;
      }
    }
    return new Brier(before / places, after / places);
  }

  /** Of so many jobs, the bins that hold any place. */
  static List<Bin> table(int jobs, long seed, boolean otherEyes) {
    List<Told> told =
        IntStream.range(0, jobs)
            .parallel()
            .mapToObj(i -> SimulatedJob.of(new Random(seed * 1_000_003 + i), otherEyes))
            .flatMap(
                j ->
                    j.probabilities().entrySet().stream()
                        .map(e -> new Told(e.getValue(), j.faulty().containsKey(e.getKey()))))
            .toList();
    return IntStream.range(0, EDGES.length - 1)
        .mapToObj(i -> of(told, EDGES[i], EDGES[i + 1]))
        .filter(c -> c.places() > 0)
        .toList();
  }

  private static Bin of(List<Told> told, double from, double to) {
    List<Told> within =
        told.stream().filter(t -> t.probability() >= from && t.probability() < to).toList();
    return new Bin(
        within.stream().mapToDouble(Told::probability).average().orElse(0),
        (double) within.stream().filter(Told::leaks).count() / Math.max(1, within.size()),
        within.size());
  }

  private static void print(String title, List<Bin> table, PrintStream out) {
    out.println(title);
    out.println("   given   leaking   places");
    for (Bin c : table) {
      out.printf(
          Locale.ROOT, "%6.1f %%  %6.1f %%  %7d%n", 100 * c.given(), 100 * c.leaking(), c.places());
    }
  }
}
