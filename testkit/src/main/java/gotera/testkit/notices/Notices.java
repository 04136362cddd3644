package gotera.testkit.notices;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Writes the notices of what is shipped: every part with the texts that came with it, or with the
 * text of its licence where it brought none. Fails where a part has neither.
 */
public final class Notices {
  /** What others call the licences whose texts we keep; identifiers are SPDX's. */
  private static final Map<String, String> KEPT =
      Map.ofEntries(
          Map.entry("apache", "Apache-2.0"),
          Map.entry("mit", "MIT"),
          Map.entry("bsd-2", "BSD-2-Clause"),
          Map.entry("bsd 2", "BSD-2-Clause"),
          Map.entry("bsd", "BSD-3-Clause"),
          Map.entry("edl", "BSD-3-Clause"),
          Map.entry("eclipse distribution", "BSD-3-Clause"),
          Map.entry("lgpl", "LGPL-2.1"),
          Map.entry("gnu lesser", "LGPL-2.1"),
          Map.entry("mpl", "MPL-2.0"),
          Map.entry("cc0", "CC0-1.0"));

  /** Licences that name their holder in the text: without that name it is not the licence. */
  private static final Set<String> NAMES_ITS_HOLDER = Set.of("MIT", "BSD-2-Clause", "BSD-3-Clause");

  private final Path licences;
  private final Map<String, String> holders;
  private final Map<String, Integer> texts = new LinkedHashMap<>();
  private final List<String> missing = new ArrayList<>();

  private Notices(Path licences) throws IOException {
    this.licences = licences;
    this.holders = holders(licences.resolve("holders.csv"));
  }

  /**
   * Writes them.
   *
   * @param arguments list of parts (XML), local Maven repository, folder of the styles, folder of
   *     licences, file to write; or {@code check}, list of parts, packed application
   */
  public static void main(String[] arguments) throws IOException {
    if (arguments[0].equals("check")) {
      Shipped.check(Path.of(arguments[1]), Path.of(arguments[2]));
      return;
    }
    List<Part> parts =
        new ArrayList<>(Parts.libraries(Path.of(arguments[0]), Path.of(arguments[1])));
    parts.addAll(Parts.packages(Path.of(arguments[2])));
    Path written = Path.of(arguments[4]);
    Files.createDirectories(written.getParent());
    Files.writeString(written, text(parts, Path.of(arguments[3])));
  }

  /** The notices of parts; fails where one has no text. */
  static String text(List<Part> parts, Path licences) throws IOException {
    Notices notices = new Notices(licences);
    StringBuilder list = new StringBuilder();
    for (Part part : parts) {
      Set<Integer> numbers = notices.numbers(part);
      list.append(part.title())
          .append(": ")
          .append(String.join(" or ", part.licences()))
          .append("; ")
          .append(numbers.size() == 1 ? "text " : "texts ")
          .append(numbers.stream().map(String::valueOf).collect(Collectors.joining(", ")))
          .append('\n');
    }
    if (!notices.missing.isEmpty()) {
      throw new IOException("no licence text: " + notices.missing);
    }
    StringBuilder all =
        new StringBuilder("What Gotera ships from others, and under which licences\n\n");
    all.append(list);
    notices.texts.forEach(
        (text, number) ->
            all.append("\n\n======== Text ").append(number).append(" ========\n\n").append(text));
    return all.append('\n').toString();
  }

  private Set<Integer> numbers(Part part) throws IOException {
    List<String> found = new ArrayList<>(part.texts());
    // a notice alone is not the licence
    boolean hasLicence =
        found.stream().anyMatch(t -> t.contains("icense") || t.contains("ermission"));
    if (!hasLicence) {
      String kept = kept(part);
      if (kept.isEmpty()) {
        missing.add(part.title() + " " + part.licences());
      } else {
        found.add(kept);
      }
    }
    Set<Integer> numbers = new TreeSet<>();
    for (String text : found) {
      numbers.add(texts.computeIfAbsent(text.strip(), t -> texts.size() + 1));
    }
    return numbers;
  }

  private String kept(Part part) throws IOException {
    for (String licence : part.licences()) {
      String id = id(licence);
      Path file = licences.resolve(id + ".txt");
      if (id.isEmpty() || !Files.exists(file)) {
        continue;
      }
      String text = Files.readString(file);
      if (!NAMES_ITS_HOLDER.contains(id)) {
        return text;
      }
      String holder = holders.getOrDefault(part.group() + ":" + part.name(), "");
      if (!holder.isEmpty()) {
        return holder + "\n\n" + text;
      }
    }
    return "";
  }

  private static String id(String licence) {
    String name = licence.toLowerCase(java.util.Locale.ROOT);
    return KEPT.entrySet().stream()
        .filter(e -> name.contains(e.getKey()))
        // the longest name that fits says most
        .max(java.util.Comparator.comparingInt(e -> e.getKey().length()))
        .map(Map.Entry::getValue)
        .orElse("");
  }

  private static Map<String, String> holders(Path file) throws IOException {
    try (Stream<String> lines = Files.lines(file)) {
      return lines
          .filter(l -> !l.startsWith("#") && l.contains(","))
          .map(l -> l.split(",", 3))
          .collect(Collectors.toMap(l -> l[0], l -> l[2].replaceAll("^\"|\"$", "")));
    }
  }
}
