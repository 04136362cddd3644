package gotera.testkit.house;

import gotera.testkit.house.SourceFile.Taking;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** Prints the figures of every module of a project: {@code House ROOT MODULE…}. */
public final class House {
  /** Aims (our judgement: what a screen and a head hold). */
  private static final int LONGEST_FILE = 300;

  private static final int LONGEST_METHOD = 60;
  private static final int USUAL_METHOD = 35;
  private static final int MOST_PARAMETERS = 7;

  /** Where exceptions are named. */
  private static final String EXCEPTIONS = "docs/house-exceptions.txt";

  /** Modules that hold no number of the trade. */
  private static final List<String> OUTSIDE = List.of("formats", "web");

  private House() {}

  /** Prints the table. */
  public static void main(String[] arguments) throws IOException {
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
    List<SourceFile> outside =
        all.stream()
            .filter(f -> OUTSIDE.stream().anyMatch(m -> f.path().startsWith(root.resolve(m))))
            .toList();
    out.printf("%npackages in cycles: %s%n", named(Cycles.of(all)));
    out.printf("numbers of the trade outside the core: %s%n", named(TradeNumbers.in(outside)));
    beyond(out, all, root);
  }

  private static void row(
      PrintStream out, String name, List<SourceFile> main, List<SourceFile> tests) {
    int lines = main.stream().mapToInt(SourceFile::lines).sum();
    int tested = tests.stream().mapToInt(SourceFile::lines).sum();
    List<Integer> files = main.stream().map(SourceFile::lines).sorted().toList();
    List<Taking> methods = main.stream().flatMap(f -> f.methods().stream()).toList();
    List<Integer> lengths = lengths(main);
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
        usual(main),
        at(lengths, 1),
        taking.stream().mapToInt(Taking::parameters).max().orElse(0),
        taking.stream().filter(t -> t.parameters() > MOST_PARAMETERS).count());
  }

  private static List<Integer> lengths(List<SourceFile> files) {
    return files.stream().flatMap(f -> f.methods().stream()).map(Taking::lines).sorted().toList();
  }

  /** The length that one method in a hundred is beyond (lines). */
  private static int usual(List<SourceFile> files) {
    return at(lengths(files), 0.99);
  }

  private static int at(List<Integer> sorted, double share) {
    return sorted.isEmpty() ? 0 : sorted.get((int) Math.ceil(share * sorted.size()) - 1);
  }

  private static String named(Collection<String> found) {
    return found.isEmpty() ? "none" : found.size() + ": " + String.join(", ", found);
  }

  /** What lies beyond the aims, by name, with the reason why it may. */
  private static void beyond(PrintStream out, List<SourceFile> all, Path root) throws IOException {
    out.printf(
        "%naims: files up to %d lines (p90), methods up to %d (p99 %d), up to %d parameters%n",
        LONGEST_FILE, LONGEST_METHOD, USUAL_METHOD, MOST_PARAMETERS);
    Exceptions exceptions = Exceptions.read(root.resolve(EXCEPTIONS));
    int unnamed = 0;
    for (Beyond b : beyond(all, root)) {
      Optional<String> reason = exceptions.reason(b.where() + " " + b.name());
      unnamed += reason.isEmpty() ? 1 : 0;
      out.printf(
          "%5d %-12s %s %s: %s%n",
          b.figure(), b.what(), b.where(), b.name(), reason.orElse("NO REASON NAMED"));
    }
    out.printf("without a named reason: %d%n", unnamed);
  }

  /**
   * Something beyond an aim.
   *
   * @param figure how much it is
   * @param what of what
   * @param where its file
   * @param name its name; empty for a file
   */
  public record Beyond(int figure, String what, String where, String name) {}

  /**
   * What lies beyond the aims: files that are too long, methods, lists of parameters, and the
   * modules of which more than one method in a hundred is longer than usual.
   */
  public static List<Beyond> beyond(List<SourceFile> all, Path root) {
    List<Beyond> beyond = new ArrayList<>();
    all.stream()
        .collect(Collectors.groupingBy(f -> root.relativize(f.path()).getName(0).toString()))
        .forEach(
            (module, files) -> {
              int usual = usual(files);
              if (usual > USUAL_METHOD) {
                beyond.add(new Beyond(usual, "usual (p99)", module, ""));
              }
            });
    for (SourceFile file : all) {
      String where = root.relativize(file.path()).toString();
      if (file.lines() > LONGEST_FILE) {
        beyond.add(new Beyond(file.lines(), "lines", where, ""));
      }
      for (Taking m : file.methods()) {
        if (m.lines() > LONGEST_METHOD) {
          beyond.add(new Beyond(m.lines(), "in a method", where, m.name()));
        }
      }
      List<Taking> taking = new ArrayList<>(file.methods());
      taking.addAll(file.records());
      for (Taking t : taking) {
        if (t.parameters() > MOST_PARAMETERS) {
          beyond.add(new Beyond(t.parameters(), "parameters", where, t.name()));
        }
      }
    }
    return beyond;
  }

  /** Reasons that are named for nothing: what they excused is gone. */
  public static List<String> idle(Path root, List<String> modules) throws IOException {
    List<SourceFile> all = new ArrayList<>();
    modules.forEach(m -> all.addAll(SourceFile.below(root.resolve(m).resolve("src/main/java"))));
    List<String> names =
        beyond(all, root).stream().map(b -> (b.where() + " " + b.name()).strip()).toList();
    return Exceptions.read(root.resolve(EXCEPTIONS)).reasons().keySet().stream()
        .filter(n -> !names.contains(n))
        .sorted()
        .toList();
  }

  /** Those of them that no reason is named for. */
  public static List<Beyond> unnamed(Path root, List<String> modules) throws IOException {
    Exceptions exceptions = Exceptions.read(root.resolve(EXCEPTIONS));
    List<SourceFile> all = new ArrayList<>();
    modules.forEach(m -> all.addAll(SourceFile.below(root.resolve(m).resolve("src/main/java"))));
    return beyond(all, root).stream()
        .filter(b -> exceptions.reason(b.where() + " " + b.name()).isEmpty())
        .toList();
  }
}
