package gotera.cli;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** Holds the verdicts against vehicles of each kind apart, short and long. */
final class Kinds {
  /** Leaks that a search must catch in ten minutes (mL/min). */
  private static final double[] CAUGHT = {1, 1.5};

  private Kinds() {}

  private static final List<Way> WAYS = List.of(Way.SHORT, Way.LONG, Way.AGAIN);

  /** Prints the table; the picture has every truth of it. */
  static CoveragePicture run(int runs, long seed, PrintStream out) {
    out.println(
        "vehicles and instruments that do otherwise than the estimator has it, each kind apart");
    out.printf(
        "%-42s %9s %9s %9s %9s %17s %19s%n",
        "", "covered", "tight at", "tight at", "leak at", "proven tight of", "caught in 10 min");
    out.printf(
        "%-42s %9s %9s %9s %9s %17s %9s %9s%n",
        "kind of vehicle",
        "of 95 %",
        "1.5 q_a",
        "3 q_a",
        "zero",
        "well planned",
        "1 mL/min",
        "1.5");
    Map<Kind, List<List<SimulatedTest>>> all = new EnumMap<>(Kind.class);
    for (Way way : WAYS) {
      out.println(way.words);
      for (Kind kind : Kind.values()) {
        all.computeIfAbsent(kind, k -> new ArrayList<>()).add(line(kind, way, runs, seed, out));
      }
    }
    CoveragePicture picture = new CoveragePicture(WAYS.stream().map(w -> w.words).toList());
    all.forEach((kind, held) -> picture.add(kind.words, held));
    return picture;
  }

  private static List<SimulatedTest> line(
      Kind kind, Way way, int runs, long seed, PrintStream out) {
    List<SimulatedTest> none = tests(kind, way, 0, OptionalDouble.empty(), runs, seed);
    List<SimulatedTest> half = tests(kind, way, 1.5, OptionalDouble.empty(), runs, seed);
    List<SimulatedTest> three = tests(kind, way, 3, OptionalDouble.empty(), runs, seed);
    List<SimulatedTest> all =
        new ArrayList<>(
            tests(kind, way, SimulatedTest.OTHER_SIZE, OptionalDouble.empty(), runs, seed));
    List.of(none, half, three).forEach(all::addAll);
    out.printf(
        Locale.ROOT,
        "  %-40s %7.1f %% %7.2f %% %7.2f %% %7.1f %% %7.1f %% of %5d",
        kind.words,
        100.0 * count(all, SimulatedTest::covered) / count(all, SimulatedTest::hasRate),
        100.0 * count(half, SimulatedTest::tight) / runs,
        100.0 * count(three, SimulatedTest::tight) / runs,
        100.0 * count(none, SimulatedTest::leak) / runs,
        100.0 * count(none, t -> t.planned() && t.tight()) / count(none, SimulatedTest::planned),
        count(none, SimulatedTest::planned));
    for (double leak : way == Way.SHORT ? CAUGHT : new double[0]) {
      List<SimulatedTest> caught = tests(kind, Way.TEN, 0, OptionalDouble.of(leak), runs, seed);
      out.printf(Locale.ROOT, " %7.1f %%", 100.0 * count(caught, SimulatedTest::leak) / runs);
    }
    out.println();
    return all;
  }

  private static List<SimulatedTest> tests(
      Kind kind, Way way, double size, OptionalDouble millilitres, int runs, long seed) {
    long own =
        seed * 1_000_003
            + kind.ordinal() * 7_919_000_003L
            + way.ordinal() * 15_485_863L
            + Math.round(10 * size + 100 * millilitres.orElse(0)) * 104_729;
    return IntStream.range(0, runs)
        .parallel()
        .mapToObj(i -> SimulatedTest.of(kind, way, size, millilitres, new Random(own + i)))
        .toList();
  }

  private static long count(List<SimulatedTest> tests, Predicate<SimulatedTest> is) {
    return tests.stream().filter(is).count();
  }
}
