package gotera.web.finding;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.figures.Figures;
import gotera.web.words.TestWords;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever can be said has its words. */
class FindingTextsTests {
  private static final FindingWords SAYS = new FindingWords(TestWords.words());

  static List<FindingCodecTests.Golden> golden() {
    return FindingCodecTests.golden();
  }

  @ParameterizedTest
  @MethodSource("golden")
  void whatWasSaidIsToldInWords(FindingCodecTests.Golden golden) {
    Finding<?> finding =
        new Finding<>(
            new UUID(0, 0),
            FindingCodec.read(golden.row()),
            "",
            Optional.empty(),
            Instant.EPOCH,
            Instant.EPOCH,
            "bench");
    assertThat(SAYS.withCheck(finding, Figures.USUAL)).contains(": ").doesNotContain("{");
    assertThat(SAYS.about(finding.said())).isNotBlank();
  }

  @Test
  void everyWordOfEveryCheckHasItsText() {
    for (Form<?> form : FindingCodec.FORMS) {
      has("check." + form.check());
      form.saw().forEach(word -> has(form.check() + ".saw." + word));
      form.subject().words().forEach(word -> has(form.check() + ".subject." + word));
    }
  }

  private static void has(String key) {
    assertThat(TestWords.words().knows(key)).as(key).isTrue();
  }
}
