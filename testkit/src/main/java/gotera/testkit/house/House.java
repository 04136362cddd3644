package gotera.testkit.house;

import gotera.testkit.house.SourceFile.Taking;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Prints the figures of every module of a project: {@code House ROOT MODULE…}. */
public final class House {
  /** Aims (our judgement: what a screen and a head hold). */
  private static final int LONGEST_FILE = 300;

  private static final int LONGEST_METHOD = 60;
  private static final int USUAL_METHOD = 35;
  private static final int MOST_PARAMETERS = 7;

  private House() {}

  /** Prints the table. */
  public static void main(String[] arguments) {
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    Path root = Path.of(arguments[0]);
    out.printf(
        "%-9s %6s %6s %6s %5s %5s %7s %6s %6s %8s %6s%n",
        "module", "lines", "tests", "tests", "files", "p90", "longest", "method", "method", "most",
        "more");
    out.printf(
        "%-9s %6s %6s %6s %5s %5s %7s %6s %6s %8s %6s%n",
        "", "", "", "a line", "", "lines", "file", "p99", "most", "taken", "than 7");
    List<SourceFile> all = new ArrayList<>();
    List<SourceFile> allTests = new ArrayList<>();
    for (int i = 1; i < arguments.length; i++) {
      List<SourceFile> main = SourceFile.below(root.resolve(arguments[i]).resolve("src/main/java"));
      List<SourceFile> tests =
          SourceFile.below(root.resolve(arguments[i]).resolve("src/test/java"));
      row(out, arguments[i], main, tests);
      all.addAll(main);
      allTests.addAll(tests);
    }
    row(out, "all", all, allTests);
    beyond(out, root, all);
  }

  private static void row(
      PrintStream out, String name, List<SourceFile> main, List<SourceFile> tests) {
    int lines = main.stream().mapToInt(SourceFile::lines).sum();
    int tested = tests.stream().mapToInt(SourceFile::lines).sum();
    List<Integer> files = main.stream().map(SourceFile::lines).sorted().toList();
    List<Taking> methods = main.stream().flatMap(f -> f.methods().stream()).toList();
    List<Integer> lengths = methods.stream().map(Taking::lines).sorted().toList();
    List<Taking> taking = new ArrayList<>(methods);
    main.forEach(f -> taking.addAll(f.records()));
    out.printf(
        Locale.ROOT,
        "%-9s %6d %6d %6.2f %5d %5d %7d %6d %6d %8d %6d%n",
        name,
        lines,
        tested,
        lines == 0 ? 0 : (double) tested / lines,
        main.size(),
        at(files, 0.90),
        at(files, 1),
        at(lengths, 0.99),
        at(lengths, 1),
        taking.stream().mapToInt(Taking::parameters).max().orElse(0),
        taking.stream().filter(t -> t.parameters() > MOST_PARAMETERS).count());
  }

  private static int at(List<Integer> sorted, double share) {
    return sorted.isEmpty() ? 0 : sorted.get((int) Math.ceil(share * sorted.size()) - 1);
  }

  /** What lies beyond the aims, by name. */
  private static void beyond(PrintStream out, Path root, List<SourceFile> all) {
    out.printf(
        "%naims: files up to %d lines, methods up to %d (p99 %d), up to %d parameters%n",
        LONGEST_FILE, LONGEST_METHOD, USUAL_METHOD, MOST_PARAMETERS);
    for (SourceFile file : all) {
      String name = root.relativize(file.path()).toString();
      if (file.lines() > LONGEST_FILE) {
        out.printf("%5d lines       %s%n", file.lines(), name);
      }
      file.methods().stream()
          .filter(m -> m.lines() > USUAL_METHOD)
          .sorted(Comparator.comparingInt(Taking::line))
          .forEach(
              m -> out.printf("%5d in a method %s:%d %s%n", m.lines(), name, m.line(), m.name()));
      List<Taking> taking = new ArrayList<>(file.methods());
      taking.addAll(file.records());
      taking.stream()
          .filter(t -> t.parameters() > MOST_PARAMETERS)
          .forEach(
              t ->
                  out.printf(
                      "%5d parameters  %s:%d %s%n", t.parameters(), name, t.line(), t.name()));
    }
  }
}
