package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.account.AccountService;
import gotera.web.account.Role;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every address of the application against every kind of account. */
@ExtendWith(Application.class)
class AccessTests {
  private static final String NOBODY = "nobody";
  private static final String DESK = "desk";
  private static final String TECHNICIAN = "bench";
  private static final String LEAD = "lead";

  /** Who may: a letter each for nobody signed in, desk, technician, lead. */
  private static final Map<String, String> MAY = new TreeMap<>();

  static {
    for (String page :
        List.of(
            "/",
            "/account",
            "/floor",
            "/tools",
            "/tools/keep",
            "/tools/plan",
            "/tools/plan/begin",
            "/floor/changes",
            "/tests/{testId}/gauges",
            "/tests/{testId}/gauges/code",
            "/tests/{testId}/gauges/stand-in",
            "/tests/{testId}/gauges/{gaugeId}/{done}",
            "/tests/{testId}/camera",
            "/tests/{testId}/live",
            "/tests/{testId}/live/feed",
            "/equipment",
            "/equipment/new",
            "/equipment/{id}",
            "/equipment/{id}/plug-checks",
            "/jobs.csv",
            "/jobs/new",
            "/jobs/{id}",
            "/jobs/{id}/cap",
            "/jobs/closed",
            "/jobs/{id}/changes",
            "/jobs/{id}/circuit",
            "/jobs/{id}/circuit.svg",
            "/jobs/{id}/dye",
            "/jobs/{id}/fill-up",
            "/jobs/{id}/visual-check",
            "/jobs/{id}/make-safe",
            "/jobs/{id}/waits",
            "/waits",
            "/jobs/{id}/find",
            "/jobs/{id}/hand-over",
            "/jobs/{id}/history",
            "/jobs/{id}/suspects",
            "/jobs/{id}/intake",
            "/jobs/{id}/level-watch",
            "/jobs/{id}/job.json",
            "/jobs/{id}/job.zip",
            "/jobs/{id}/tests",
            "/jobs/{id}/earlier",
            "/jobs/{id}/calendar.ics",
            "/jobs/{id}/places.csv",
            "/jobs/{id}/report",
            "/jobs/{id}/report.pdf",
            "/jobs/{id}/report/file",
            "/jobs/{id}/report/file.pdf",
            "/letterhead",
            "/account/second-factor",
            "/workshop",
            "/workshop.csv",
            "/jobs/{id}/repair",
            "/jobs/{id}/{step:pressure-test|re-test}/plan",
            "/jobs/{id}/{step:pressure-test|re-test}/plan/begin",
            "/jobs/{id}/refill",
            "/jobs/{id}/refill/label",
            "/jobs/{id}/repair/ring",
            "/jobs/{id}/repair/strip",
            "/jobs/{id}/repair/work",
            "/jobs/{id}/repair/drain",
            "/jobs/{id}/re-test/proof",
            "/voice/{id}",
            "/jobs/{id}/decide",
            "/jobs/{id}/tag",
            "/prices",
            "/prices.csv",
            "/jobs/{id}/find/running",
            "/jobs/{id}/inside/funnel",
            "/jobs/{id}/inside/gas-check",
            "/jobs/{id}/inside/gas-check/colour",
            "/jobs/{id}/inside",
            "/jobs/{id}/{step:pressure-test|re-test}",
            "/phone",
            "/photos/{id}",
            "/tests/{testId}/set-up",
            "/tests/{testId}/{form}")) {
      MAY.put("GET " + page, "dtl");
    }
    MAY.put("GET /sign-in", "ndtl");
    MAY.put("GET /first-account", "ndtl");
    MAY.put("POST /first-account", "ndtl");
    MAY.put("GET /report/{token}", "ndtl");
    MAY.put("GET /report/{token}/pdf", "ndtl");
    MAY.put("POST /letterhead", "l");
    MAY.put("POST /letterhead/key", "l");
    MAY.put("POST /workshop/odds", "l");
    MAY.put("GET /diary/{token}", "ndtl");
    MAY.put("POST /diary/{token}", "ndtl");
    MAY.put("GET /diary/{token}/undo", "ndtl");
    MAY.put("POST /diary/{token}/undo", "ndtl");
    MAY.put("POST /jobs/import", "l");
    MAY.put("GET /job-files/{id}", "l");
    MAY.put("POST /job-files/{id}", "l");
    MAY.put("POST /job-files/{id}/discard", "l");
    MAY.put("POST /api/gauges/pair", "ndtl");
    MAY.put("POST /api/gauges/readings", "ndtl");
    MAY.put("GET /quote/{token}", "ndtl");
    MAY.put("POST /quote/{token}", "ndtl");
    MAY.put("POST /prices", "l");
    MAY.put("POST /prices/table", "l");
    MAY.put("GET /accounts", "l");
    MAY.put("GET /accounts/{id}", "l");
    MAY.put("POST /accounts", "l");
    MAY.put("POST /accounts/{id}", "l");
    for (String own :
        List.of(
            "/account/password",
            "/account/sessions/end",
            "/account/second-factor/begin",
            "/account/second-factor/confirm",
            "/account/second-factor/remove",
            "/account/sign-out-elsewhere",
            "/account/units",
            "/jobs/{id}/close",
            "/jobs/{id}/sign",
            "/jobs/{id}/discard",
            "/jobs/{id}/reopen",
            "/jobs/new",
            "/jobs/{id}/intake",
            "/jobs/{id}/quote/consents",
            "/jobs/{id}/quote/lines",
            "/jobs/{id}/quote/lines/{lineId}/decide",
            "/jobs/{id}/quote/lines/{lineId}/withdraw",
            "/jobs/{id}/quote/links",
            "/jobs/{id}/quote/links/{linkId}/withdraw",
            "/jobs/{id}/report-links",
            "/jobs/{id}/diary-links",
            "/jobs/{id}/diary-links/{linkId}/withdraw",
            "/jobs/{id}/report-links/{linkId}/withdraw",
            "/unit")) {
      MAY.put("POST " + own, "dtl");
    }
    for (String work :
        List.of(
            "/test-now",
            "/floor/{jobId}/bay",
            "/tools/keep",
            "/tests/{testId}/camera/dial",
            "/tests/{testId}/camera/frames",
            "/tests/{testId}/camera/compare",
            "/tests/{testId}/gauges/code",
            "/tests/{testId}/gauges/stand-in",
            "/tests/{testId}/gauges/{gaugeId}/early",
            "/tests/{testId}/gauges/{gaugeId}/put",
            "/tests/{testId}/gauges/{gaugeId}/leave",
            "/tests/{testId}/gauges/{gaugeId}/withdraw",
            "/jobs/{id}/cap",
            "/jobs/{id}/{step:pressure-test|re-test}/plan",
            "/jobs/{id}/cap/test",
            "/jobs/{id}/conditions",
            "/jobs/{id}/drip-pressure",
            "/jobs/{id}/decide/ways/{number}",
            "/jobs/{id}/decide/neighbours",
            "/jobs/{id}/find/running",
            "/jobs/{id}/inside/funnel",
            "/jobs/{id}/inside/gas-check",
            "/jobs/{id}/inside/gas-check/colour",
            "/jobs/{id}/inside/noted",
            "/jobs/{id}/inside/plugs",
            "/jobs/{id}/inside/gas",
            "/jobs/{id}/inside/bubbles",
            "/jobs/{id}/inside/cylinders",
            "/jobs/{id}/inside/fluids",
            "/jobs/{id}/inside/hoses",
            "/jobs/{id}/inside/hiss",
            "/jobs/{id}/circuit",
            "/jobs/{id}/circuit/edits",
            "/jobs/{id}/circuit/edits/{editId}/withdraw",
            "/jobs/{id}/circuit/type",
            "/jobs/{id}/drips",
            "/jobs/{id}/drips/undo",
            "/jobs/{id}/dye/dose",
            "/jobs/{id}/dye/ran",
            "/jobs/{id}/dye/scan",
            "/jobs/{id}/dye/{what:before|round}",
            "/jobs/{id}/fill-up",
            "/jobs/{id}/fill-up/strength",
            "/jobs/{id}/fill-up/{entryId}/withdraw",
            "/jobs/{id}/find",
            "/jobs/{id}/findings/{findingId}/withdraw",
            "/jobs/{id}/heater-valve",
            "/jobs/{id}/level-watch/{markId}/withdraw",
            "/jobs/{id}/looks/{lookId}/withdraw",
            "/jobs/{id}/repair/{noteId}/withdraw",
            "/jobs/{id}/repair/checks",
            "/jobs/{id}/repair/new-part",
            "/jobs/{id}/repair/lessons",
            "/jobs/{id}/repair/lessons/{lessonId}/withdraw",
            "/jobs/{id}/repair/strip",
            "/jobs/{id}/repair/strip/{lineId}/back",
            "/jobs/{id}/repair/strip/{lineId}/off-again",
            "/jobs/{id}/repair/strip/{lineId}/withdraw",
            "/jobs/{id}/repair/work",
            "/jobs/{id}/repair/work/{entryId}/withdraw",
            "/jobs/{id}/repair/work/{entryId}/minutes",
            "/jobs/{id}/repair/work/clock",
            "/jobs/{id}/repair/work/clock/stop",
            "/jobs/{id}/repair/drain",
            "/jobs/{id}/refill/air-first",
            "/jobs/{id}/re-test/road",
            "/jobs/{id}/refill/coolant",
            "/jobs/{id}/refill/mix",
            "/jobs/{id}/refill/pour",
            "/jobs/{id}/refill/school",
            "/jobs/{id}/refill/steps",
            "/jobs/{id}/refill/purge",
            "/jobs/{id}/refill/procedure",
            "/jobs/{id}/level-watch",
            "/jobs/{id}/visual-check",
            "/jobs/{id}/make-safe",
            "/jobs/{id}/make-safe/temperature",
            "/jobs/{id}/repair",
            "/jobs/{id}/steps/{step}/skip",
            "/jobs/{id}/steps/{step}/take-up",
            "/jobs/{id}/waits",
            "/waits/{waitId}/end",
            "/jobs/{id}/{step:pressure-test|re-test}",
            "/equipment/new",
            "/equipment/{id}",
            "/equipment/{id}/plug-checks",
            "/tests/{testId}/caught",
            "/tests/{testId}/draws",
            "/tests/{testId}/draws/undo",
            "/tests/{testId}/strokes",
            "/tests/{testId}/strokes/undo",
            "/tests/{testId}/window",
            "/tests/{testId}/events",
            "/tests/{testId}/finish",
            "/tests/{testId}/readings",
            "/tests/{testId}/trace",
            "/tests/{testId}/undo",
            "/tests/{testId}/answers",
            "/tests/{testId}/caught/{id}/withdraw",
            "/tests/{testId}/discard",
            "/tests/{testId}/events/{event}/withdraw",
            "/tests/{testId}/put-back",
            "/tests/{testId}/readings/{block}/{index}/correct",
            "/tests/{testId}/readings/{block}/{index}/withdraw",
            "/tests/{testId}/reopen",
            "/tests/{testId}/set-up")) {
      MAY.put("POST " + work, "tl");
    }
  }

  @Test
  void everyAddressChecksWhatThisAccountMayDo(Application.Running application) {
    Map<String, Http> people = new LinkedHashMap<>();
    people.put(NOBODY, new Http(application.address()));
    for (String account : List.of(DESK, TECHNICIAN, LEAD)) {
      people.put(account, Http.signedIn(application.address(), account, Application.PASSWORD));
    }
    people.get(NOBODY).get("/sign-in");
    Http.Begun begun = people.get(TECHNICIAN).begin();
    assertThat(addresses(application)).isEqualTo(List.copyOf(MAY.keySet()));
    MAY.forEach(
        (address, who) -> {
          String method = address.split(" ")[0];
          String path = path(address.split(" ")[1], begun);
          people.forEach(
              (account, http) -> {
                Http.Answer answer =
                    method.equals("GET") ? http.get(path) : http.post(path, Map.of());
                boolean turnedAway =
                    answer.toSignIn() || answer.status() == 403 || answer.status() == 401;
                assertThat(!turnedAway)
                    .as("%s as %s: %d %s", address, account, answer.status(), answer.location())
                    .isEqualTo(
                        who.indexOf(account.equals(TECHNICIAN) ? 't' : account.charAt(0)) >= 0);
                assertThat(answer.status()).as("%s as %s", address, account).isNotEqualTo(500);
              });
        });
  }

  @Test
  void whatIsNoAddressIsClosedToo(Application.Running application) {
    Http technician = Http.signedIn(application.address(), TECHNICIAN, Application.PASSWORD);
    for (String path : List.of("/actuator/metrics", "/actuator/prometheus", "/actuator/env")) {
      assertThat(technician.get(path).status()).as(path).isEqualTo(403);
    }
    for (String method : List.of("PUT", "DELETE", "PATCH")) {
      assertThat(technician.send(method, "/jobs/new").status()).as(method).isEqualTo(403);
    }
    Http lead = Http.signedIn(application.address(), LEAD, Application.PASSWORD);
    assertThat(lead.get("/actuator/metrics").status()).isEqualTo(200);
    assertThat(lead.get("/actuator/info").text()).contains("\"version\"");
    assertThat(lead.get("/actuator/env").status()).isEqualTo(404);
    assertThat(new Http(application.address()).get("/actuator/health").text())
        .isEqualTo("{\"groups\":[\"liveness\",\"readiness\"],\"status\":\"UP\"}");
  }

  @Test
  void aDisabledAccountReachesNothing(Application.Running application) {
    AccountService accounts = application.bean(AccountService.class);
    accounts.put("leaving", "Leaving", "leaves the workshop", Role.TECHNICIAN);
    Http leaving = Http.signedIn(application.address(), "leaving", "leaves the workshop");
    assertThat(leaving.get("/").status()).isEqualTo(200);
    Http lead = Http.signedIn(application.address(), LEAD, Application.PASSWORD);
    String account =
        lead.get("/accounts").find("(?s)/accounts/([0-9a-f-]{36})\"(?:(?!/accounts/).)*leaving");
    String version = lead.get("/accounts/" + account).find("name=\"version\" value=\"(\\d+)\"");
    Http.Answer changed =
        lead.post(
            "/accounts/" + account,
            Map.of(
                "name",
                "Leaving",
                "role",
                "technician",
                "enabled",
                "false",
                "password",
                "",
                "version",
                version));
    assertThat(changed.status()).isEqualTo(302);
    assertThat(leaving.get("/").toSignIn()).as("its session ended at once").isTrue();
    assertThat(leaving.signIn("leaving", "leaves the workshop").location()).endsWith("?error");
    assertThat(leaving.get("/jobs.csv").toSignIn()).isTrue();
  }

  @Test
  void aSessionThatSignedOutIsGone(Application.Running application) {
    Http http = Http.signedIn(application.address(), TECHNICIAN, Application.PASSWORD);
    assertThat(http.get("/jobs/new").status()).isEqualTo(200);
    http.post("/sign-out", Map.of());
    assertThat(http.get("/jobs/new").toSignIn()).isTrue();
  }

  @Test
  void signingInGivesANewSession(Application.Running application) {
    Http http = new Http(application.address());
    http.get("/sign-in");
    http.signIn(TECHNICIAN, "not the password");
    assertThat(http.get("/sign-in").whole().headers().allValues("Set-Cookie"))
        .as("a stranger has no session that could be fixed")
        .noneMatch(c -> c.startsWith("SESSION="));
    Http.Answer answer = http.signIn(TECHNICIAN, Application.PASSWORD);
    assertThat(answer.whole().headers().allValues("Set-Cookie"))
        .anySatisfy(c -> assertThat(c).startsWith("SESSION=").contains("HttpOnly", "SameSite=Lax"));
  }

  @Test
  void aForgedRequestIsRefusedEverywhere(Application.Running application) {
    Http lead = Http.signedIn(application.address(), LEAD, Application.PASSWORD);
    Http.Begun begun = lead.begin();
    MAY.keySet().stream()
        // what devices send is known by its token, and nothing of it by a cookie
        .filter(a -> a.startsWith("POST ") && !a.contains(" /api/"))
        .map(a -> path(a.split(" ")[1], begun))
        .forEach(
            path ->
                assertThat(lead.forge(path, Map.of("vehicle", "forged")).status())
                    .as(path)
                    .isEqualTo(403));
    assertThat(lead.get("/").text()).doesNotContain("forged");
  }

  @Test
  void aCustomersLinkOpensTheOneReport(Application.Running application) {
    Http desk = Http.signedIn(application.address(), DESK, Application.PASSWORD);
    String job = desk.job("Corrie 12");
    desk.get(job + "/hand-over");
    desk.post(job + "/report-links", Map.of());
    String link = desk.get(job + "/hand-over").find("(https?://[^<\"]+/report/[^<\"]+)");
    Http customer = new Http(application.address());
    Http.Answer report = customer.get(link);
    assertThat(report.status()).isEqualTo(200);
    assertThat(report.text()).contains("Corrie 12").doesNotContain("/jobs/").doesNotContain("Fenn");
    assertThat(report.header("Cache-Control")).isEqualTo("no-store");
    char last = link.charAt(link.length() - 1);
    String altered = link.substring(0, link.length() - 1) + (last == 'A' ? 'B' : 'A');
    assertThat(customer.get(altered).status()).as("another link").isEqualTo(404);
    assertThat(customer.get(job.replaceAll(".*/jobs", "/jobs") + "/hand-over").toSignIn()).isTrue();

    String withdraw =
        desk.get(job + "/hand-over").find("action=\"(/jobs/[^\"]+/report-links/[^\"]+/withdraw)\"");
    String otherJob =
        Http.signedIn(application.address(), LEAD, Application.PASSWORD).begin().job();
    desk.post(withdraw.replaceAll("^/jobs/[^/]+", otherJob), Map.of());
    assertThat(customer.get(link).status()).as("another job withdraws nothing").isEqualTo(200);
    desk.post(withdraw, Map.of());
    assertThat(customer.get(link).status()).as("withdrawn").isEqualTo(404);
  }

  private static String path(String pattern, Http.Begun begun) {
    return pattern
        .replace("/jobs/{id}", begun.job())
        .replace("/floor/{jobId}", "/floor/" + begun.job().substring("/jobs/".length()))
        .replace("{done}", "put")
        .replace("{testId}", begun.test())
        .replaceAll(
            "\\{(link|line|edit|entry|wait|finding|mark|look|note|lesson|gauge)Id}",
            UUID.randomUUID().toString())
        .replace("{id}", UUID.randomUUID().toString())
        .replaceAll("\\{(block|event)}", UUID.randomUUID().toString())
        .replace("{step}", "cap")
        .replace("{index}", "0")
        .replace("{number}", "0")
        .replace("{token}", "nothing")
        .replace("{form}", "readings")
        .replaceAll("\\{(?:step|what):([a-z-]+)[^}]*}", "$1");
  }

  /** Method and pattern of all that our own controllers answer. */
  private static List<String> addresses(Application.Running application) {
    RequestMappingHandlerMapping mapping =
        application
            .context()
            .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    return mapping.getHandlerMethods().entrySet().stream()
        .filter(e -> e.getValue().getBeanType().getName().startsWith("gotera."))
        .flatMap(e -> addresses(e.getKey()))
        .sorted()
        .toList();
  }

  private static Stream<String> addresses(RequestMappingInfo info) {
    assertThat(info.getMethodsCondition().getMethods()).as(info.toString()).isNotEmpty();
    return info.getMethodsCondition().getMethods().stream()
        .map(RequestMethod::name)
        .flatMap(m -> info.getPatternValues().stream().map(p -> m + " " + p));
  }
}
