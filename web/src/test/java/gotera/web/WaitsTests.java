package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.job.JobService;
import gotera.web.timer.WaitService;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Waits outlive the process that began them and show on every device. */
@ExtendWith(Application.class)
class WaitsTests {

  @Test
  void aWaitBegunBeforeARestartIsDueAtTheSameMomentAfterIt(Application.Running application) {
    String job;
    String due;
    // another process begins the wait, and is gone
    try (Server before = Server.start("wait-before", Server.database(application.database()))) {
      Http there = Http.signedIn(before.address(), "bench", Application.PASSWORD);
      job = there.begin().job();
      Map<String, String> wait =
          Map.of("kind", "cure", "minutes", "30", "waitNote", "gasket", "back", "find");
      assertThat(there.post(job + "/waits", wait).location()).endsWith("/find");
      due = there.get("/waits").find("data-due=\"(\\d+)\"(?=[^>]*>(?:(?!data-due).)*gasket)");
    }
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    assertThat(here.get("/waits").text()).contains("data-due=\"" + due + "\"").contains("gasket");
    assertThat(here.get(job + "/history").text()).contains("Wait begun: sealant curing");
    String wait = here.get("/waits").find("(?s)/waits/([0-9a-f-]{36})/end(?=(?:(?!/end).)*gasket)");
    assertThat(here.post("/waits/" + wait + "/end", Map.of()).status()).isEqualTo(302);
    assertThat(here.get("/waits").text()).doesNotContain("gasket");
  }

  @Test
  void itRingsOnEveryDeviceThatWatchesUntilSomebodyEndsIt(Application.Running application) {
    try (Bench bench = Bench.of(application);
        Bench phone = Bench.onPhone(application, "lead")) {
      bench.job("Rings everywhere", "waits");
      phone.open("/equipment");
      application
          .bean(WaitService.class)
          .begin(
              UUID.fromString(bench.jobPath().replace("/jobs/", "")),
              gotera.timing.Wait.Kind.PURGE,
              Duration.ofSeconds(4),
              "until quiet",
              "bench");
      String rings =
          "[...document.querySelectorAll('.wait-ringing')].some(w => w.innerText.includes('until quiet'))";
      for (Bench device : List.of(phone, bench)) {
        device.until(rings);
      }
      assertThat(application.bean(JobService.class).open()).isNotEmpty();
      phone
          .page
          .locator(".wait")
          .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("until quiet"))
          .locator("button")
          .click();
      bench.until(
          "![...document.querySelectorAll('.wait')].some(w => w.innerText.includes('until quiet'))");
    }
  }

  @Test
  void whatWaitsComesAfterWhatCanBeWorkedOn(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String waiting = http.begin().job();
    http.post(waiting + "/waits", Map.of("kind", "soak", "minutes", "60", "back", "find"));
    String front = http.openJobs();
    String other = http.begin().job();
    String after = http.openJobs();
    assertThat(front).contains("Waits until");
    assertThat(after.indexOf(other)).isLessThan(after.lastIndexOf(waiting));
    assertThat(http.post(waiting + "/waits", Map.of("kind", "soak", "minutes", "a while")).status())
        .isEqualTo(422);
    String id = http.get("/waits").find("/waits/([0-9a-f-]{36})/end");
    http.post("/waits/" + id + "/end", Map.of());
  }
}
