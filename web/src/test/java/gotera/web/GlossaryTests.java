package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The glossary's last table is kept: no word it calls wrong stands where it says it is wrong. */
class GlossaryTests {
  private static final Path GLOSSARY = Path.of("../docs/glossary.md");

  /**
   * A word that is wrong.
   *
   * @param word the word
   * @param where screen, address, code or table
   */
  private record Wrong(String word, List<String> where) {}

  @Test
  void noWordThatIsWrongIsUsed() throws IOException {
    List<Wrong> wrong = wrong();
    assertThat(wrong).as("the table was read").hasSizeGreaterThan(5);
    List<Path> screen = files("src/main/resources/templates", ".html");
    screen.addAll(files("src/main/resources", "messages.properties"));
    List<Path> code = new ArrayList<>();
    for (String module : List.of("core", "formats", "drawing", "cli", "web")) {
      code.addAll(files("../" + module + "/src/main/java", ".java"));
    }
    List<Path> tables = files("src/main/resources/db/migration", ".sql");
    assertThat(screen).hasSizeGreaterThan(20);
    assertThat(code).hasSizeGreaterThan(200);
    assertThat(tables).isNotEmpty();
    List<String> found = new ArrayList<>();
    for (Wrong w : wrong) {
      for (String where : w.where()) {
        List<Path> searched =
            switch (where) {
              case "screen" -> screen;
              case "address", "code" -> code;
              case "table" -> tables;
              default -> throw new IllegalStateException("no such place: " + where);
            };
        searched.stream()
            .filter(p -> has(p, pattern(w.word(), where)))
            .forEach(p -> found.add(p + " says “" + w.word() + "”"));
      }
    }
    assertThat(found).isEmpty();
  }

  @Test
  void everyTermHasItsMeaning() throws IOException {
    List<String> terms =
        Files.readAllLines(GLOSSARY).stream()
            .takeWhile(l -> !l.startsWith("## Words"))
            .filter(l -> l.startsWith("| ") && !l.startsWith("| term"))
            .toList();
    assertThat(terms).hasSizeGreaterThan(50);
    assertThat(terms)
        .allSatisfy(
            l -> {
              String[] cells = l.split("\\|", -1);
              assertThat(cells).as(l).hasSize(5);
              assertThat(cells[3]).as(l).isNotBlank();
            });
    List<String> names = terms.stream().map(l -> l.split("\\|", -1)[1].strip()).toList();
    assertThat(names).doesNotHaveDuplicates().isSorted();
  }

  private static List<Wrong> wrong() throws IOException {
    return Files.readAllLines(GLOSSARY).stream()
        .dropWhile(l -> !l.startsWith("## Words"))
        .filter(l -> l.startsWith("| ") && !l.startsWith("| wrong"))
        .map(l -> l.split("\\|", -1))
        .map(c -> new Wrong(c[1].strip(), List.of(c[3].strip().split(", "))))
        .toList();
  }

  /**
   * On screen a word is wrong however its first letter is written; in code, a word of several parts
   * is wrong however they are joined, and within longer names too.
   */
  private static Pattern pattern(String word, String where) {
    if (where.equals("code") && word.matches("[a-z]+([-_ ][a-z]+)+")) {
      return Pattern.compile(
          "(?<![a-z])" + String.join("[-_ ]?", word.split("[-_ ]", -1)), Pattern.CASE_INSENSITIVE);
    }
    int flags = where.equals("screen") ? Pattern.CASE_INSENSITIVE : 0;
    return Pattern.compile("(?<![\\w-])" + Pattern.quote(word) + "(?![\\w-])", flags);
  }

  @ParameterizedTest
  @CsvSource({
    "walk-round, code, class WalkRounds, true",
    "walk-round, code, int walkRound, true",
    "walk-round, code, WALK_ROUND, true",
    "walk-round, code, walk right round, false",
    "Take back, screen, take back the mark, true",
    "Lie, code, enum Lie, true",
    "Lie, code, class Client, false"
  })
  void aWrongWordIsFoundInEveryForm(String word, String where, String text, boolean found) {
    assertThat(pattern(word, where).matcher(text).find()).isEqualTo(found);
  }

  private static boolean has(Path file, Pattern wrong) {
    try {
      return wrong.matcher(Files.readString(file)).find();
    } catch (IOException e) {
      throw new UncheckedIOException(file.toString(), e);
    }
  }

  private static List<Path> files(String folder, String ending) throws IOException {
    try (Stream<Path> all = Files.walk(Path.of(folder))) {
      return new ArrayList<>(all.filter(p -> p.toString().endsWith(ending)).toList());
    }
  }
}
