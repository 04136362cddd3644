package gotera.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** Advice in a closed loop: beside it the fixed routine and whoever knows. */
public final class AdviceFigures {
  private static final double NINETY = 0.9;

  private final List<Run> runs;

  /**
   * One vehicle.
   *
   * @param seed makes it again
   * @param world where it comes from
   * @param advice by the advice
   * @param routine by the fixed routine
   * @param oracle minutes of whoever knows
   */
  public record Run(long seed, World world, Outcome advice, Outcome routine, double oracle) {}

  private AdviceFigures(List<Run> runs) {
    this.runs = List.copyOf(runs);
  }

  /** So many vehicles of a world. */
  public static AdviceFigures of(World world, int vehicles, long seed) {
    return new AdviceFigures(
        IntStream.range(0, vehicles).parallel().mapToObj(i -> run(world, seed, i)).toList());
  }

  /** The vehicle of a number. */
  public static Run run(World world, long seed, int number) {
    long own = 1_000_003 * seed + number;
    Outcome advice = Player.plays(PracticeVehicle.of(world, new Random(own)), new Random(own + 7));
    PracticeVehicle again = PracticeVehicle.of(world, new Random(own));
    double oracle = Oracle.minutes(again);
    Outcome routine = Routine.plays(again, new Random(own + 7));
    return new Run(number, world, advice, routine, oracle);
  }

  /** The figures, a line each; of kinds of vehicles too. */
  public List<String> lines() {
    List<String> lines = new ArrayList<>();
    lines.add(line("all", r -> true));
    lines.add(line("tight", r -> r.advice().leaks().isEmpty()));
    lines.add(line("one leak", r -> r.advice().leaks().size() == 1));
    lines.add(line("two leaks", r -> r.advice().leaks().size() == 2));
    lines.add(line("one, open to the eye, always", r -> one(r) && outside(r) && mode(r, "always")));
    lines.add(
        line("one, only hot or turning", r -> one(r) && (mode(r, "heat") || mode(r, "rotation"))));
    lines.add(line("one, only cold", r -> one(r) && mode(r, "cold")));
    lines.add(line("one, within", r -> one(r) && !outside(r)));
    return lines;
  }

  private static boolean one(Run r) {
    return r.advice().leaks().size() == 1;
  }

  private static boolean outside(Run r) {
    return !PracticeVehicle.inside(r.advice().leaks().get(0).place());
  }

  private static boolean mode(Run r, String mode) {
    return r.advice().leaks().get(0).mode().word().equals(mode);
  }

  private String line(String name, Predicate<Run> which) {
    List<Run> some = runs.stream().filter(which).toList();
    if (some.isEmpty()) {
      return name + ": none";
    }
    double n = some.size();
    double minutes = some.stream().mapToDouble(r -> r.advice().minutes()).sum() / n;
    double routine = some.stream().mapToDouble(r -> r.routine().minutes()).sum() / n;
    double oracle = some.stream().mapToDouble(Run::oracle).sum() / n;
    return String.format(
        Locale.ROOT,
        "%s: %d vehicles; found %.1f %% (routine %.1f %%), wrong %.1f %% (%.1f %%), %.0f min"
            + " (%.0f, knowing %.0f): %.2f of the routine's, %.1f of who knows; 90th percentile"
            + " %.0f (%.0f); the same again %.2f",
        name,
        some.size(),
        100 * some.stream().filter(r -> r.advice().solved()).count() / n,
        100 * some.stream().filter(r -> r.routine().solved()).count() / n,
        100 * some.stream().filter(r -> r.advice().wrong() > 0).count() / n,
        100 * some.stream().filter(r -> r.routine().wrong() > 0).count() / n,
        minutes,
        routine,
        oracle,
        minutes / routine,
        minutes / Math.max(1, oracle),
        percentile(some.stream().mapToDouble(r -> r.advice().minutes()).toArray()),
        percentile(some.stream().mapToDouble(r -> r.routine().minutes()).toArray()),
        some.stream().mapToInt(r -> r.advice().repeated()).sum() / n);
  }

  private static double percentile(double[] values) {
    Arrays.sort(values);
    return values[(int) Math.floor(NINETY * (values.length - 1))];
  }

  /** The runs. */
  public List<Run> runs() {
    return runs;
  }

  /** Share of vehicles of which everything that leaked was found (1). */
  public double found() {
    return runs.stream().filter(r -> r.advice().solved()).count() / (double) runs.size();
  }

  /** Share of vehicles with a repair that mended nothing (1). */
  public double wrong() {
    return runs.stream().filter(r -> r.advice().wrong() > 0).count() / (double) runs.size();
  }

  /** The worst: not found, then wrong repairs, then the longest. */
  public List<Run> worst(int many) {
    return runs.stream()
        .sorted(
            Comparator.comparing((Run r) -> r.advice().solved())
                .thenComparing(r -> -r.advice().wrong())
                .thenComparing(r -> -r.advice().minutes()))
        .limit(many)
        .toList();
  }
}
