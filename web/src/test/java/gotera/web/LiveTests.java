package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Open pages are told that somebody wrote, and hold nothing while they listen. */
@ExtendWith(Application.class)
class LiveTests {
  private static String news(Stream<String> lines) {
    Iterator<String> all = lines.iterator();
    while (all.hasNext()) {
      String line = all.next();
      if (line.startsWith("data:")) {
        return line.substring("data:".length());
      }
    }
    throw new AssertionError("it ended without news");
  }

  @Test
  void whoListensIsToldOfWhatAnotherWrote(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http other = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = here.begin();
    long seq = Long.parseLong(here.get(begun.job() + "/find").find("data-seq=\"(\\d+)\""));
    try (Stream<String> lines = here.lines(begun.job() + "/changes?seq=" + seq)) {
      other.post("/tests/" + begun.test() + "/readings", Map.of("gauge", "90 kPa", "entryId", ""));
      assertThat(Long.parseLong(news(lines))).isGreaterThan(seq);
    }
    // what came before it listened is told at once
    try (Stream<String> lines = here.lines(begun.job() + "/changes?seq=" + seq)) {
      assertThat(Long.parseLong(news(lines))).isGreaterThan(seq);
    }
  }

  @Test
  void strangersHearNothing(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = here.begin().job();
    assertThat(new Http(application.address()).get(job + "/changes").toSignIn()).isTrue();
    assertThat(here.get("/jobs/00000000-0000-7000-8000-000000000000/changes").status())
        .isEqualTo(404);
    assertThat(here.get(job + "/changes?seq=many").status()).isEqualTo(400);
  }

  /** What is said once is not taken away by a page that renews its parts at the same moment. */
  @Test
  void whatIsSaidOnceIsForThePageThatTheEntryLeadsTo(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = here.begin().job();
    assertThat(here.post(job + "/report-links", Map.of()).status()).isEqualTo(302);
    assertThat(here.get(job + "/hand-over", "Gotera-Renews", "true").text())
        .doesNotContain("Shown once");
    assertThat(here.get(job + "/hand-over").text()).contains("Shown once");
    assertThat(here.get(job + "/hand-over").text()).doesNotContain("Shown once");
  }

  /** Three hundred open pages take no hand from those who work. */
  @Test
  void manyListenAndWorkGoesOn(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = here.begin();
    List<Stream<String>> listening = new ArrayList<>();
    try {
      for (int i = 0; i < 300; i++) {
        listening.add(here.lines(begun.job() + "/changes?seq=0"));
      }
      for (int i = 0; i < 10; i++) {
        assertThat(
                here.post("/tests/" + begun.test() + "/readings", Map.of("gauge", "9" + i + " kPa"))
                    .status())
            .isEqualTo(302);
      }
      assertThat(here.get(begun.job() + "/find").status()).isEqualTo(200);
      assertThat(news(listening.get(299))).isNotEmpty();
    } finally {
      listening.forEach(Stream::close);
    }
  }
}
