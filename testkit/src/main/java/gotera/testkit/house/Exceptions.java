package gotera.testkit.house;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What may lie beyond the aims, each with its reason: lines of a file, {@code pattern: reason},
 * where the pattern is looked for in {@code path name}.
 */
public record Exceptions(List<Named> all) {
  /** One of them. */
  public record Named(Pattern pattern, String reason) {}

  /** Reads them; blank lines and those that begin with # say nothing. */
  public static Exceptions read(Path file) throws IOException {
    List<Named> all = new ArrayList<>();
    for (String line : Files.readAllLines(file)) {
      if (!line.isBlank() && !line.startsWith("#")) {
        String[] parts = line.split(": ", 2);
        if (parts.length < 2 || parts[1].isBlank()) {
          throw new IllegalArgumentException("an exception without its reason: " + line);
        }
        all.add(new Named(Pattern.compile(parts[0]), parts[1]));
      }
    }
    return new Exceptions(List.copyOf(all));
  }

  /** Why something may lie beyond an aim, if it may. */
  public Optional<String> reason(String pathAndName) {
    return all.stream()
        .filter(n -> n.pattern().matcher(pathAndName).find())
        .map(Named::reason)
        .findFirst();
  }
}
