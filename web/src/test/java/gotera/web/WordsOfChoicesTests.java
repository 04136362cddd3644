package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.WhereLost;
import gotera.timing.Wait;
import gotera.web.job.Ending;
import gotera.word.Worded;
import gotera.work.Step;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The words that a column lets in are those of the choice it keeps. */
class WordsOfChoicesTests {
  private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");

  static Stream<Arguments> choices() {
    return Stream.of(
        Arguments.of("V53__more_words.sql", "leak_site_saw", Worded.words(Sight.class)),
        Arguments.of("V21__words.sql", "leak_site_state", Worded.words(LookState.class)),
        Arguments.of("V53__more_words.sql", "job_where_lost", Worded.words(WhereLost.class)),
        Arguments.of("V23__words_of_choices.sql", "verdict_kind", Worded.words(VerdictKind.class)),
        Arguments.of("V28__notes_and_charging.sql", "job_wait_kind", Worded.words(Wait.Kind.class)),
        Arguments.of(
            "V52__happened.sql",
            "job_ending",
            Stream.concat(Stream.of(""), Worded.words(Ending.class).stream()).toList()),
        Arguments.of(
            "V23__words_of_choices.sql",
            "skipped_step_step",
            Arrays.stream(Step.values()).map(Step::word).toList()));
  }

  @ParameterizedTest
  @MethodSource("choices")
  void aColumnLetsInTheWordsOfItsChoice(String file, String constraint, List<String> words)
      throws IOException {
    String sql = Files.readString(MIGRATIONS.resolve(file));
    Matcher check = Pattern.compile(constraint + " check \\(\\w+ in \\(([^)]*)\\)\\)").matcher(sql);
    assertThat(check.find()).as(constraint).isTrue();
    assertThat(Arrays.stream(check.group(1).split(",")).map(w -> w.strip().replace("'", "")))
        .containsExactlyInAnyOrderElementsOf(words);
  }
}
