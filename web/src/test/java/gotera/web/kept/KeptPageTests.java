package gotera.web.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** A page that is kept is the page that was made, with what differs each time put in anew. */
class KeptPageTests {
  private static String shown(KeptPage page, String token, String entry) {
    return new String(
        page.with(
            m ->
                switch (m) {
                  case TOKEN -> token;
                  case ENTRY -> entry;
                  case NOW -> "12";
                }),
        StandardCharsets.UTF_8);
  }

  @Test
  void whatDiffersIsPutInWhereItStood() {
    KeptPage page =
        KeptPage.of(
            "a" + Mark.TOKEN.text() + "\u00b1" + Mark.ENTRY.text() + Mark.NOW.text() + "z", "t");
    assertThat(shown(page, "T1", "E1")).isEqualTo("aT1\u00b1E112z");
    assertThat(shown(page, "T2", "")).isEqualTo("aT2\u00b112z");
  }

  @Test
  void aPageWithoutMarksIsItself() {
    assertThat(shown(KeptPage.of("", "t"), "T", "E")).isEmpty();
    assertThat(shown(KeptPage.of("5 \u00b0C, mark-TOKEN;", "t"), "T", "E"))
        .as("a mark that somebody wrote is a text")
        .isEqualTo("5 \u00b0C, mark-TOKEN;");
  }
}
