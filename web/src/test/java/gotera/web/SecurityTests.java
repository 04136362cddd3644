package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.RequestOptions;
import gotera.web.account.AccountService;
import gotera.web.account.Role;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** Who reaches what, and the headers around it. */
@ExtendWith(Application.class)
class SecurityTests {

  @Test
  void nothingOpensWithoutSigningIn(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.page.context().clearCookies();
      bench.open("/jobs/new");
      assertThat(bench.page.url()).endsWith("/sign-in");
    }
  }

  @Test
  void everyPageForbidsForeignScriptsAndFrames(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      APIResponse response = bench.page.request().get(application.address() + "/");
      assertThat(response.headers().get("content-security-policy"))
          .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
          .doesNotContain("unsafe");
      assertThat(response.headers())
          .containsEntry("x-content-type-options", "nosniff")
          .containsEntry("x-frame-options", "DENY");
      assertThat(bench.page.content()).doesNotContain("style=").doesNotContain("onclick=");
    }
  }

  @Test
  void theServiceDeskWritesIntakeButMeasuresNothing(Application.Running application) {
    try (Bench bench = Bench.of(application);
        Bench desk = Bench.of(application, "desk")) {
      bench.click("Start a test now");
      String job = bench.jobPath();
      desk.open(job + "/intake");
      desk.fill("Vehicle", "Written by the desk");
      desk.click("Save intake");
      assertThat(desk.text(".top-job")).isEqualTo("Written by the desk");
      desk.step("Cap");
      desk.shows(".reads-note", "The service desk reads here");
      assertThat(desk.button("Skip this step").count()).as("it would be refused").isZero();
      assertThat(desk.button("Save the cap").isVisible()).isFalse();
    }
  }

  @Test
  void guessingAPasswordLocksTheAccountForAWhile(Application.Running application) {
    application
        .bean(AccountService.class)
        .put("guessed", "Somebody", "the right password", Role.TECHNICIAN);
    try (BrowserContext person = application.browser().person(800, 600)) {
      Page page = person.newPage();
      for (int i = 0; i < 5; i++) {
        signIn(application, page, "wrong " + i);
        assertThat(page.url()).endsWith("?error");
      }
      signIn(application, page, "the right password");
      assertThat(page.url()).as("locked, though the password is right").endsWith("?error");
      // the while passes
      application
          .bean(JdbcTemplate.class)
          .update("delete from sign_in_try where login = 'guessed'");
      signIn(application, page, "the right password");
      assertThat(page.url()).isEqualTo(application.address() + "/");
    }
  }

  private static void signIn(Application.Running application, Page page, String password) {
    page.navigate(application.address() + "/sign-in");
    page.fill("#username", "Guessed");
    page.fill("#password", password);
    page.click("text=Sign in");
    page.waitForLoadState();
    page.locator("h1").first().waitFor();
  }

  @Test
  void anUnknownAddressIsNotHere(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      APIResponse response =
          bench
              .page
              .request()
              .get(
                  application.address()
                      + "/jobs/00000000-0000-7000-8000-000000000000/pressure-test",
                  RequestOptions.create().setHeader("Accept", "text/html"));
      assertThat(response.status()).isEqualTo(404);
      assertThat(response.text()).contains("Not here").doesNotContain("Exception");
    }
  }

  /** Whoever only knocks leaves nothing behind: pages, wrong passwords, links that open nothing. */
  @Test
  void strangersWriteNoSessions(Application.Running application) {
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    int before = sessions(database);
    for (int i = 0; i < 5; i++) {
      Http stranger = new Http(application.address());
      assertThat(stranger.get("/sign-in").status()).isEqualTo(200);
      assertThat(stranger.get("/jobs/new").toSignIn()).isTrue();
      stranger.signIn("nobody of that name " + i, "wrong");
      stranger.get("/quote/nothing");
      stranger.get("/diary/nothing");
      stranger.get("/report/nothing");
      stranger.forge("/sign-in", java.util.Map.of("username", "x", "password", "y"));
    }
    assertThat(sessions(database)).isEqualTo(before);
  }

  private static int sessions(JdbcTemplate database) {
    Integer count =
        database.queryForObject(
            "select count(*) from SPRING_SESSION where PRINCIPAL_NAME is null", Integer.class);
    return count == null ? 0 : count;
  }

  /** The way back to the page that was wanted is kept all the same, and only to a page of ours. */
  @Test
  void signingInLeadsToThePageThatWasWanted(Application.Running application) {
    try (BrowserContext person = application.browser().person(800, 600)) {
      Page page = person.newPage();
      page.navigate(application.address() + "/tools");
      page.fill("#username", "bench");
      page.fill("#password", Application.PASSWORD);
      page.click("text=Sign in");
      page.locator(".top").waitFor();
      assertThat(page.url()).contains("/tools");
    }
  }

  @Test
  void whatWatchesTheMachineHasATokenOfItsOwn(Application.Running application) throws Exception {
    String address = application.address() + "/actuator/prometheus";
    assertThat(watched(address, "Bearer " + Application.WATCH).statusCode()).isEqualTo(200);
    assertThat(watched(address, "Bearer " + Application.WATCH).body())
        .contains(
            "gotera_tests_open",
            "gotera_tests_silent",
            "gotera_waits_overdue",
            "gotera_backup_age_seconds",
            "gotera_gauges_refused_total",
            "gotera_disk_above_reserve_bytes",
            "gotera_findings_unread",
            "jvm_memory_used_bytes");
    for (String wrong : new String[] {"Bearer ", "Bearer x", "", Application.WATCH}) {
      assertThat(watched(address, wrong).statusCode()).as(wrong).isEqualTo(401);
    }
    assertThat(
            watched(application.address() + "/actuator/metrics", "Bearer " + Application.WATCH)
                .statusCode())
        .as("it opens nothing else")
        .isNotEqualTo(200);
  }

  private static HttpResponse<String> watched(String address, String authorization)
      throws Exception {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(address))
                .header("Authorization", authorization)
                .build(),
            HttpResponse.BodyHandlers.ofString());
  }

  /** What is shipped from others is named, each library and package with a text of its licence. */
  @Test
  void theNoticesNameEveryPartThatIsShipped(Application.Running application) throws Exception {
    String notices = new Http(application.address()).get("/notices.txt").text();
    tools.jackson.databind.JsonNode parts;
    try (var list = getClass().getResourceAsStream("/META-INF/sbom/application.cdx.json")) {
      parts = tools.jackson.databind.json.JsonMapper.shared().readTree(list).get("components");
    }
    assertThat(parts.size()).isGreaterThan(100);
    for (var part : parts) {
      if (!part.get("group").asString().equals("gotera")) {
        assertThat(notices)
            .containsPattern(
                java.util.regex.Pattern.quote(
                        part.get("name").asString() + " " + part.get("version").asString())
                    + ": .+; texts? \\d");
      }
    }
    assertThat(notices)
        .contains("htmx.org", "dejavu-fonts-ttf", "GNU LESSER GENERAL PUBLIC LICENSE")
        .contains("SIL OPEN FONT LICENSE");
  }

  @Test
  void stylesTravelCompressed(Application.Running application) throws Exception {
    String styles =
        new Http(application.address()).get("/sign-in").find("href=\"(/static/[^\"]+gotera.css)\"");
    HttpResponse<byte[]> answer =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(application.address() + styles))
                    .header("Accept-Encoding", "gzip")
                    .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    assertThat(answer.headers().firstValue("Content-Encoding")).contains("gzip");
    byte[] whole = new GZIPInputStream(new ByteArrayInputStream(answer.body())).readAllBytes();
    assertThat(whole).hasSizeGreaterThan(3 * answer.body().length);
  }
}
