package gotera.cli;

import gotera.formats.Situation;
import gotera.formats.Situation.Score;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Holds whole situations against what a seasoned technician would say of them. */
final class Situations {
  private Situations() {}

  /** A situation with how it came out. */
  record Held(Situation situation, Score score) {}

  static int run(List<String> folders, PrintStream out, PrintStream err) {
    int code = 0;
    for (String folder : folders) {
      try {
        print(Path.of(folder), out);
      } catch (IOException | IllegalArgumentException e) {
        err.println(folder + ": " + e.getMessage());
        code = 2;
      }
    }
    return code;
  }

  /** Every situation of a folder, by its name. */
  static List<Held> of(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(f -> f.toString().endsWith(".json"))
          .sorted()
          .map(Situations::one)
          .toList();
    }
  }

  private static Held one(Path file) {
    try {
      String name = file.getFileName().toString().replace(".json", "");
      Situation situation = Situation.read(name, Files.readString(file));
      return new Held(situation, situation.score());
    } catch (IOException e) {
      throw new IllegalArgumentException(file + ": " + e.getMessage(), e);
    }
  }

  private static void print(Path folder, PrintStream out) throws IOException {
    List<Held> all = of(folder);
    for (Held h : all) {
      if (!h.score().right()) {
        out.printf("%s%n  %s%n  got %s%n", h.situation().name(), misses(h), h.score().got());
      }
    }
    out.printf(
        Locale.ROOT,
        "%s: %d situations; first suspect right %s, within three %s, next check sensible %s,"
            + " flags right %s, found right %s%n",
        folder.getFileName(),
        all.size(),
        share(all, Score::first),
        share(all, Score::withinThree),
        share(all, Score::next),
        share(all, s -> Optional.of(s.flags())),
        share(all, Score::found));
  }

  private static String misses(Held h) {
    Score s = h.score();
    StringBuilder text = new StringBuilder("not as expected:");
    if (!s.first().orElse(true)) {
      text.append(" first ")
          .append(
              h.situation().expected().nothingLeaks()
                  ? "nothing"
                  : h.situation().expected().first());
    }
    if (!s.withinThree().orElse(true)) {
      text.append(" within three ").append(h.situation().expected().withinThree());
    }
    if (!s.next().orElse(true)) {
      text.append(" next ").append(h.situation().expected().next());
    }
    if (!s.flags()) {
      text.append(" flags ").append(h.situation().expected().flags());
    }
    if (!s.found().orElse(true)) {
      text.append(" found ").append(h.situation().expected().found().orElseThrow());
    }
    return text.toString();
  }

  /** The share that came out right, of those of which something was expected. */
  static double right(List<Held> all, Function<Score, Optional<Boolean>> what) {
    List<Boolean> asked = all.stream().flatMap(h -> what.apply(h.score()).stream()).toList();
    return asked.isEmpty()
        ? 1
        : (double) asked.stream().filter(Boolean::booleanValue).count() / asked.size();
  }

  private static String share(List<Held> all, Function<Score, Optional<Boolean>> what) {
    long asked = all.stream().filter(h -> what.apply(h.score()).isPresent()).count();
    return String.format(Locale.ROOT, "%.0f %% of %d", 100 * right(all, what), asked);
  }
}
