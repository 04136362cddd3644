package gotera.cli;

import gotera.suspects.SimulatedJob;
import java.io.PrintStream;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;

/** How often places leak that are given a probability, over simulated jobs. */
final class Calibration {
  private static final double[] EDGES = {0, 0.01, 0.03, 0.1, 0.2, 0.4, 0.6, 0.8, 0.95, 1.0000001};

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
    return 0;
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
