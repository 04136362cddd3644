package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.cli.Situations.Held;
import gotera.formats.Situation.Score;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whole situations against what a seasoned technician would say. */
class SituationsTests {
  private static final Path ALL = Path.of("../reference/situations");

  @Test
  void thereAreEnoughOfThemAndNoneIsThereTwice() throws IOException {
    List<String> names = new ArrayList<>();
    List<String> told = new ArrayList<>();
    for (String set : List.of("tuning", "seen-once", "held-back", "confirming")) {
      for (Held h : Situations.of(ALL.resolve(set))) {
        names.add(h.situation().name());
        told.add(h.situation().told());
      }
    }
    assertThat(names).hasSizeGreaterThanOrEqualTo(80).doesNotHaveDuplicates();
    assertThat(told).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @ValueSource(strings = {"tuning", "seen-once", "held-back", "confirming"})
  void suspectsChecksAndRulesAreThoseOfATechnician(String set) throws IOException {
    List<Held> all = Situations.of(ALL.resolve(set));
    String wrong =
        all.stream()
            .filter(h -> !h.score().right())
            .map(h -> "\n" + h.situation().name() + ": " + h.score().got())
            .toList()
            .toString();
    assertThat(Situations.right(all, Score::first)).as(wrong).isGreaterThanOrEqualTo(0.80);
    assertThat(Situations.right(all, Score::withinThree)).as(wrong).isGreaterThanOrEqualTo(0.95);
    assertThat(Situations.right(all, Score::next)).as(wrong).isGreaterThanOrEqualTo(0.90);
    assertThat(Situations.right(all, s -> Optional.of(s.flags())))
        .as(wrong)
        .isGreaterThanOrEqualTo(0.95);
  }

  @Test
  void aFileThatIsNoSituationIsToldByItsName(@TempDir Path folder) throws IOException {
    Files.writeString(
        folder.resolve("wrong.json"),
        "{\"situation\":\"x\",\"job\":{\"format\":\"gotera-job/1\",\"findings\":[{\"check\":\"guess\"}]},"
            + "\"expected\":{}}");
    ByteArrayOutputStream err = new ByteArrayOutputStream();
    int code =
        Main.run(
            List.of("situations", folder.toString()),
            new PrintStream(new ByteArrayOutputStream()),
            new PrintStream(err, true, StandardCharsets.UTF_8));
    assertThat(code).isEqualTo(2);
    assertThat(err.toString(StandardCharsets.UTF_8))
        .contains("wrong")
        .contains("findings[0].check");
  }
}
