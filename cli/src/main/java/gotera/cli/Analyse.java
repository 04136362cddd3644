package gotera.cli;

import gotera.formats.FormatProblem;
import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome;
import gotera.formats.ReadOutcome.Accepted;
import gotera.formats.ReadOutcome.Rejected;
import gotera.formats.ResultJson;
import gotera.formats.TraceCsv;
import gotera.pressure.PressureTest;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * {@code analyse}: a line of JSON for each trace, in the order given; what is wrong goes to
 * standard error, all problems of a file at once.
 */
final class Analyse {
  private static final int FAILED = 2;

  private final PrintStream out;
  private final PrintStream err;

  Analyse(PrintStream out, PrintStream err) {
    this.out = out;
    this.err = err;
  }

  /** Answers for each file or folder; 0 when all were read, 2 when one could not be. */
  int run(List<String> arguments) {
    boolean allRead = true;
    for (String argument : arguments) {
      try {
        List<Path> traces = traces(Path.of(argument));
        if (traces.isEmpty()) {
          err.println(argument + ": there is no trace (.csv) in this folder");
          allRead = false;
        }
        for (Path trace : traces) {
          allRead &= analyse(trace);
        }
      } catch (IOException e) {
        err.println(argument + ": cannot be read: " + e.getMessage());
        allRead = false;
      }
    }
    return allRead ? 0 : FAILED;
  }

  private static List<Path> traces(Path path) throws IOException {
    if (!Files.isDirectory(path)) {
      return List.of(path);
    }
    try (Stream<Path> children = Files.list(path)) {
      return new ArrayList<>(children.filter(p -> p.toString().endsWith(".csv")).sorted().toList());
    }
  }

  private boolean analyse(Path file) throws IOException {
    if (!Files.isReadable(file)) {
      err.println(file + ": there is no such file, or it may not be read");
      return false;
    }
    Path holdFile =
        file.resolveSibling(
            file.getFileName().toString().replaceFirst("\\.csv$", "") + ".hold.json");
    if (!Files.isReadable(holdFile)) {
      err.println(
          file
              + ": its hold description is missing, expected beside it: "
              + holdFile.getFileName());
      return false;
    }
    Optional<HoldSetup> hold = read(holdFile, HoldJson.read(Files.readString(holdFile)));
    Optional<Trace> trace;
    try (InputStream stream = new BufferedInputStream(Files.newInputStream(file))) {
      trace = read(file, TraceCsv.read(stream));
    }
    if (hold.isEmpty() || trace.isEmpty()) {
      return false;
    }
    CompletedHold completed = CompletedHold.of(hold.get(), trace.get());
    out.println(
        ResultJson.line(
            file.getFileName().toString(),
            new PressureTest(trace.get(), completed.conditions()).analyse(),
            hold.get(),
            completed));
    return true;
  }

  private <T> Optional<T> read(Path file, ReadOutcome<T> outcome) {
    if (outcome instanceof Accepted<T> accepted) {
      return Optional.of(accepted.value());
    }
    Rejected<T> rejected = (Rejected<T>) outcome;
    for (FormatProblem problem : rejected.problems()) {
      err.println(file + ": " + problem.sentence());
    }
    if (rejected.more() > 0) {
      err.println(file + ": and " + rejected.more() + " more");
    }
    return Optional.empty();
  }
}
