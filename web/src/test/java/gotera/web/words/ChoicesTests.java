package gotera.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.suspects.Vocabulary;
import gotera.word.Worded;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every constant that reaches a screen by a key that is put together has its texts, and no key is
 * put together that is not listed with what goes into it.
 */
class ChoicesTests {
  private static final Path LISTED = Path.of("src/test/resources/gotera/web/words/choices.txt");
  private static final List<Pattern> IN_CODE =
      List.of(
          Pattern.compile("\"([a-z][a-zA-Z0-9-]*(?:\\.[a-zA-Z0-9-]+)*\\.)\"\\s*\\+"),
          Pattern.compile("\"(problem\\.[a-z-]+-)\"\\s*\\+"));
  private static final List<Pattern> IN_TEMPLATES =
      List.of(
          Pattern.compile("#\\{\\|([a-z][a-zA-Z0-9.-]*)\\$"),
          Pattern.compile("messages\\.msg\\('([a-z.-]+\\.)' \\+"));

  /** What goes into a key: its beginning, what follows, the words between. */
  record Listed(String prefix, List<String> suffixes, List<String> words) {
    static Listed of(String line) {
      String[] cells = line.split("\\|");
      return new Listed(
          cells[0].strip(),
          Arrays.stream(cells[1].split(","))
              .map(String::strip)
              .map(s -> s.equals(".") ? "" : s)
              .toList(),
          words(cells[2].strip()));
    }

    private static List<String> words(String cell) {
      if (cell.startsWith("= ")) {
        return List.of(cell.substring(2).split(" "));
      }
      if (!cell.startsWith("gotera.")) {
        return List.of();
      }
      String[] parts = cell.split(" - ");
      List<String> without = parts.length > 1 ? List.of(parts[1].split(" ")) : List.of();
      try {
        return Arrays.stream(Class.forName(parts[0]).getEnumConstants())
            .map(Listed::word)
            .filter(w -> !without.contains(w))
            .toList();
      } catch (ClassNotFoundException e) {
        throw new AssertionError("there is no choice " + parts[0], e);
      }
    }

    private static String word(Object constant) {
      return constant instanceof Worded w
          ? w.word()
          : ((Enum<?>) constant).name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public String toString() {
      return prefix + "…" + String.join(" ", suffixes);
    }
  }

  static List<Listed> listed() {
    try (Stream<String> lines = Files.lines(LISTED)) {
      return lines.filter(l -> !l.isBlank() && !l.startsWith("#")).map(Listed::of).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @ParameterizedTest
  @MethodSource("listed")
  void everyWordThatCanGoIntoAKeyHasItsText(Listed listed) {
    List<String> missing = new ArrayList<>();
    for (String word : listed.words()) {
      for (String suffix : listed.suffixes()) {
        String key = listed.prefix() + word + suffix;
        if (!TestWords.words().knows(key)) {
          missing.add(key);
        }
      }
    }
    assertThat(missing).isEmpty();
  }

  @Test
  void noKeyIsPutTogetherThatIsNotListed() {
    Set<String> used = new TreeSet<>(used("src/main/java", ".java", IN_CODE));
    used.addAll(used("src/main/resources/templates", ".html", IN_TEMPLATES));
    assertThat(used).hasSizeGreaterThan(100);
    assertThat(listed().stream().map(Listed::prefix).collect(Collectors.toSet())).containsAll(used);
  }

  @Test
  void everySignOfTheVocabularyHasItsText() {
    assertThat(Vocabulary.published().signs())
        .allSatisfy(s -> assertThat(TestWords.words().knows("evidence." + s.name())).isTrue());
  }

  private static Set<String> used(String folder, String ending, List<Pattern> patterns) {
    Set<String> used = new TreeSet<>();
    try (Stream<Path> files = Files.walk(Path.of(folder))) {
      for (Path file : files.filter(f -> f.toString().endsWith(ending)).toList()) {
        String text = Files.readString(file);
        for (Pattern pattern : patterns) {
          Matcher m = pattern.matcher(text);
          while (m.find()) {
            used.add(m.group(1));
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return used;
  }
}
