package gotera.cli;

import gotera.pressure.EarlyClaim;
import java.io.PrintStream;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * What is claimed before the end of simulated holds of 30 minutes that are looked at each minute:
 * how often a tight system is ever called a leak, and a leak ever tight.
 */
final class EarlyClaims {
  private static final double[] SIZES = {0, 1.5, 3};

  private EarlyClaims() {}

  static void run(int holds, long seed, PrintStream out) {
    out.printf(
        Locale.ROOT,
        "%d holds of 30 min of each size of leak, seed %d, looked at each minute; q_a: the acceptance"
            + " limit%n",
        holds,
        seed);
    out.printf("%-10s %12s %12s %24s%n", "leak", "ever leak", "ever tight", "median minute of it");
    for (double size : SIZES) {
      List<Optional<EarlyClaim>> claims =
          IntStream.range(0, holds).parallel().mapToObj(i -> claim(size, seed, i)).toList();
      out.printf(
          Locale.ROOT,
          "%-10s %10.2f %% %10.2f %% %24s%n",
          size == 0 ? "none" : String.format(Locale.ROOT, "%.1f q_a", size),
          percent(claims, EarlyClaim.Kind.LEAK),
          percent(claims, EarlyClaim.Kind.TIGHT),
          median(claims));
    }
  }

  private static Optional<EarlyClaim> claim(double size, long seed, int i) {
    Random random = new Random(seed * 1_000_003 + Math.round(size * 10) * 104_729 + i);
    Cell[] cells = Arrays.stream(Cell.values()).filter(c -> c != Cell.STUCK).toArray(Cell[]::new);
    return SimulatedTest.early(cells[i % cells.length], size, random);
  }

  private static double percent(List<Optional<EarlyClaim>> claims, EarlyClaim.Kind kind) {
    return 100.0
        * claims.stream().filter(c -> c.filter(e -> e.kind() == kind).isPresent()).count()
        / claims.size();
  }

  private static String median(List<Optional<EarlyClaim>> claims) {
    int[] minutes =
        claims.stream().flatMap(Optional::stream).mapToInt(EarlyClaim::minutes).sorted().toArray();
    return minutes.length == 0 ? "" : Integer.toString(minutes[minutes.length / 2]);
  }
}
