package gotera.cli;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Holds the verdicts against simulated vehicles whose truth is known: how often the interval covers
 * the truth, how often a leak is called tight, a tight system a leak, and a tight one is proven so.
 */
final class MonteCarlo {

  /** Multiples of the acceptance limit that truly leak; {@code OTHER_SIZE}: any size. */
  private static final double[] SIZES = {0, 1.5, 3, SimulatedTest.OTHER_SIZE};

  /** Kinds of tests; what kinds of vehicles are tried with stands apart. */
  private static final List<Cell> CELLS =
      Stream.of(Cell.values()).filter(c -> c != Cell.WORKSHOP).toList();

  private MonteCarlo() {}

  static CoveragePicture run(int runs, long seed, PrintStream out) {
    out.printf(
        Locale.ROOT,
        "%d runs for each kind of test and size of leak, seed %d; q_a: the acceptance limit%n",
        runs,
        seed);
    out.printf(
        "%-42s %9s %9s %9s %9s %17s%n",
        "kind of test", "covered", "tight at", "tight at", "leak at", "proven tight of");
    out.printf(
        "%-42s %9s %9s %9s %9s %17s%n", "", "of 95 %", "1.5 q_a", "3 q_a", "zero", "well planned");
    set(runs, seed, out);
    return Kinds.run(runs, seed, out);
  }

  private static List<List<SimulatedTest>> tests(Cell cell, int runs, long seed) {
    List<List<SimulatedTest>> all = new ArrayList<>();
    for (double size : SIZES) {
      all.add(
          IntStream.range(0, runs)
              .parallel()
              .mapToObj(i -> SimulatedTest.of(cell, size, new Random(mix(seed, cell, size, i))))
              .toList());
    }
    return all;
  }

  /** What is counted over all runs of a cell, or of all cells. */
  private record Tally(long covered, long rates, long falseLeaks, long proven, long planned) {
    static Tally of(List<List<SimulatedTest>> all) {
      return new Tally(
          count(all, SimulatedTest::covered),
          count(all, SimulatedTest::hasRate),
          count(all.subList(0, 1), SimulatedTest::leak),
          count(all.subList(0, 1), r -> r.planned() && r.tight()),
          count(all.subList(0, 1), SimulatedTest::planned));
    }

    Tally plus(Tally other) {
      return new Tally(
          covered + other.covered,
          rates + other.rates,
          falseLeaks + other.falseLeaks,
          proven + other.proven,
          planned + other.planned);
    }
  }

  private static void set(int runs, long seed, PrintStream out) {
    Tally overall = new Tally(0, 0, 0, 0, 0);
    for (Cell cell : CELLS) {
      List<List<SimulatedTest>> all = tests(cell, runs, seed);
      Tally tally = Tally.of(all);
      out.printf(
          Locale.ROOT,
          "%-42s %7.1f %% %7.2f %% %7.2f %% %7.1f %% %7.1f %% of %5d%n",
          cell.words,
          percent(tally.covered(), tally.rates()),
          percent(count(all.subList(1, 2), SimulatedTest::tight), runs),
          percent(count(all.subList(2, 3), SimulatedTest::tight), runs),
          percent(tally.falseLeaks(), runs),
          percent(tally.proven(), tally.planned()),
          tally.planned());
      missing(all.get(0), out);
      overall = cell == Cell.STUCK ? overall : overall.plus(tally);
    }
    long zero = (long) runs * (CELLS.size() - 1);
    out.printf(
        Locale.ROOT,
        "overall, without the sticking needle: covered %.1f %% of %d, leak at zero %.1f %% of %d,"
            + " proven tight %.1f %% of %d%n",
        percent(overall.covered(), overall.rates()),
        overall.rates(),
        percent(overall.falseLeaks(), zero),
        zero,
        percent(overall.proven(), overall.planned()),
        overall.planned());
  }

  private static long count(List<List<SimulatedTest>> all, Predicate<SimulatedTest> is) {
    return all.stream().flatMap(List::stream).filter(is).count();
  }

  /** What was missing where a tight system with a sufficient plan was not proven so. */
  private static void missing(List<SimulatedTest> tight, PrintStream out) {
    Map<String, Long> counted =
        tight.stream()
            .filter(r -> r.planned() && !r.tight())
            .flatMap(r -> r.missing().stream())
            .collect(Collectors.groupingBy(w -> w, TreeMap::new, Collectors.counting()));
    if (!counted.isEmpty()) {
      out.println("    missing: " + counted);
    }
  }

  private static long mix(long seed, Cell cell, double size, int i) {
    return seed * 1_000_003 + cell.ordinal() * 7_919_000_003L + Math.round(size * 10) * 104_729 + i;
  }

  private static double percent(long part, long whole) {
    return whole == 0 ? Double.NaN : 100.0 * part / whole;
  }
}
