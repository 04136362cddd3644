package gotera.testkit.house;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What may lie beyond the aims, each by its own name and with its own reason: lines of a file,
 * {@code path name: reason}. A name stands for one thing; there are no patterns, and no reason is
 * given twice.
 */
public record Exceptions(Map<String, String> reasons) {
  /** Reads them; blank lines and those that begin with # say nothing. */
  public static Exceptions read(Path file) throws IOException {
    Map<String, String> reasons = new LinkedHashMap<>();
    for (String line : Files.readAllLines(file)) {
      if (!line.isBlank() && !line.startsWith("#")) {
        String[] parts = line.split(": ", 2);
        if (parts.length < 2 || parts[1].isBlank()) {
          throw new IllegalArgumentException("an exception without its reason: " + line);
        }
        if (reasons.containsValue(parts[1])) {
          throw new IllegalArgumentException("a reason that excuses two things: " + line);
        }
        reasons.put(parts[0], parts[1]);
      }
    }
    return new Exceptions(Map.copyOf(reasons));
  }

  /** Why something may lie beyond an aim, if it may. */
  public Optional<String> reason(String pathAndName) {
    return Optional.ofNullable(reasons.get(pathAndName.strip()));
  }
}
