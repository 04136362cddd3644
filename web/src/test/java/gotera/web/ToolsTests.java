package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Sums of the bench without a job, and how a job keeps them. */
@ExtendWith(Application.class)
class ToolsTests {
  private Http bench;

  @BeforeEach
  void signIn(Application.Running application) {
    bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
  }

  private static String query(Map<String, String> typed) {
    return typed.entrySet().stream()
        .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
        .collect(Collectors.joining("&", "?", ""));
  }

  /** A job whose vehicle has a name, without a cap. */
  private String job(String vehicle) {
    Http.Answer begun =
        bench.post(
            "/jobs/new",
            Map.of(
                "vehicle", vehicle, "complaint", "loses", "vehicleIs", "another", "version", "0"));
    String job = "/jobs/" + begun.location().replaceAll("^.*/jobs/([0-9a-f-]{36}).*$", "$1");
    return job;
  }

  private static Map<String, String> with(Map<String, String> typed, String job) {
    Map<String, String> all = new HashMap<>(typed);
    all.put("job", job.replace("/jobs/", ""));
    return all;
  }

  private static final Map<String, String> CAP =
      Map.of(
          "stamp", "1.1 bar",
          "opening", "0.8 bar",
          "holds", "0.7 bar",
          "vacuum", "-5 kPa",
          "strength", "42",
          "capacity", "7.5 L");

  @Test
  void aCapOnItsTesterIsJudgedWithoutAJob() {
    assertThat(bench.get("/tools" + query(CAP)).text())
        .contains("16")
        .contains("Opens early")
        .contains("Does not hold")
        .contains("concentrate for a dry system");
    assertThat(bench.get("/tools" + query(Map.of("opening", "0.8 bar"))).text())
        .contains("what is stamped on the cap");
    assertThat(bench.get("/tools").text()).contains("Nothing typed yet");
  }

  @Test
  void aJobKeepsThem() {
    String job = job("Bench sum van");
    Http.Answer kept = bench.post("/tools/keep", with(CAP, job));
    assertThat(kept.location()).endsWith(job + "/cap");
    assertThat(bench.get(job + "/cap").text())
        .contains("value=\"1.1 bar\"")
        .contains("Opens early")
        .contains("110");
    assertThat(bench.get(job + "/intake").text()).contains("42").contains("7.5");
    assertThat(bench.get(job + "/history").text())
        .contains("Sums of the bench:")
        .contains("cap on its tester: Opens early");
  }

  @Test
  void whatIsKeptTwiceIsKeptOnceAndSaidTwiceIsKeptTwice() {
    String job = job("Bench twice van");
    Map<String, String> once = with(Map.of("strength", "50"), job);
    once.put("entryId", java.util.UUID.randomUUID().toString());
    assertThat(bench.post("/tools/keep", once).status()).isEqualTo(302);
    assertThat(bench.post("/tools/keep", once).status()).isEqualTo(302);
    assertThat(bench.get(job + "/history").text().split("Sums of the bench:", -1)).hasSize(2);
    once.put("entryId", java.util.UUID.randomUUID().toString());
    bench.post("/tools/keep", once);
    assertThat(bench.get(job + "/history").text().split("Sums of the bench:", -1)).hasSize(3);
  }

  /** Only one of three was tried again; the others were not taken back by that. */
  @Test
  void whatWasNotTriedAgainStays() {
    String job = job("Bench again van");
    bench.post("/tools/keep", with(CAP, job));
    bench.post("/tools/keep", with(Map.of("stamp", "1.1 bar", "opening", "1.05 bar"), job));
    assertThat(bench.get(job + "/cap").text())
        .contains("value=\"105 kPa\"")
        .contains("value=\"70 kPa\"")
        .contains("value=\"5 kPa\"");
  }

  @Test
  void anotherCapIsNotWrittenOver() {
    String job = job("Bench other van");
    bench.post("/tools/keep", with(Map.of("stamp", "16 psi"), job));
    Http.Answer other = bench.post("/tools/keep", with(CAP, job));
    assertThat(other.status()).as("16 psi is 1.1 bar").isEqualTo(302);
    Map<String, String> higher = new HashMap<>(CAP);
    higher.put("stamp", "1.4 bar");
    Http.Answer refused = bench.post("/tools/keep", with(higher, job));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.text()).contains("The cap of that job is another").contains("1.4 bar");
    assertThat(bench.get(job + "/cap").text()).contains("16 psi").doesNotContain("1.4 bar");
  }

  @Test
  void whatIsWrongIsSaidAndNothingIsKept() {
    String job = job("Bench wrong van");
    Http.Answer none = bench.post("/tools/keep", CAP);
    assertThat(none.status()).isEqualTo(422);
    assertThat(none.text()).contains("choose an open job").contains("value=\"0.8 bar\"");
    Http.Answer typo = bench.post("/tools/keep", with(Map.of("stamp", "1,1,1 bar"), job));
    assertThat(typo.status()).isEqualTo(422);
    assertThat(typo.text()).contains("1,1,1 bar");
    assertThat(bench.post("/tools/keep", with(Map.of(), job)).text()).contains("could keep");
    assertThat(bench.post("/tools/keep", Map.of("job", "x")).status()).isEqualTo(400);
    bench.post(job + "/close", Map.of("ending", "no-leak-found", "note", "x", "sure", "true"));
    assertThat(bench.get(job + "/history").text()).doesNotContain("Sums of the bench:");
  }

  @Test
  void aHoldIsPlannedAndBegunInAJob() {
    assertThat(bench.get("/tools/plan").text())
        .contains("Type the pressure of the hold")
        .doesNotContain("field-wrong");
    Map<String, String> plan =
        new HashMap<>(
            Map.of(
                "pressure", "100 kPa",
                "gaugeStep", "0.2 kPa",
                "interval", "30",
                "air", "60",
                "hose", "0.28",
                "known", "measured",
                "warmth", "overnight",
                "liquid", "8 L",
                "strength", "50",
                "drift", "0"));
    assertThat(bench.get("/tools/plan" + query(plan)).text()).containsPattern("\\d+ min");
    Http.Answer none = bench.get("/tools/plan/begin" + query(plan));
    assertThat(none.status()).isEqualTo(422);
    assertThat(none.text()).contains("choose an open job").contains("100 kPa");
    String job = job("Bench plan van");
    plan.put("job", job.replace("/jobs/", ""));
    Http.Answer begun = bench.get("/tools/plan/begin" + query(plan));
    assertThat(begun.location()).contains(job + "/pressure-test?again=true&gaugeStep=0.2");
  }

  /** From the set-up to its plan and back: nothing that was typed is lost. */
  @Test
  void thePlanLosesNothingOfTheSetUp() {
    String retest = job("Bench carried van") + "/re-test";
    Map<String, String> setUp =
        Map.of(
            "stamp", "1.1 bar",
            "gaugeStep", "0.5 kPa",
            "readingMode", "digital",
            "airGap", "33",
            "soak", "hours",
            "soakHours", "7",
            "purpose", "repair",
            "rulePressure", "100 kPa",
            "ruleMinutes", "4",
            "ruleDrop", "9 kPa");
    String planned = path(bench.post(retest + "/plan", setUp));
    assertThat(planned).startsWith(retest + "/plan?");
    assertThat(bench.get(planned).text())
        .contains("name=\"stamp\" value=\"1.1 bar\"")
        .containsPattern("value=\"repair\"[^>]*checked");
    Map<String, String> then = new HashMap<>();
    for (String each : planned.substring(planned.indexOf('?') + 1).split("&")) {
      String[] said = each.split("=", 2);
      then.put(said[0], java.net.URLDecoder.decode(said[1], StandardCharsets.UTF_8));
    }
    then.put("purpose", "sign-off");
    then.put("soakHours", "9");
    String begun = path(bench.get(retest + "/plan/begin" + query(then)));
    assertThat(bench.get(begun).text())
        .contains("value=\"1.1 bar\"", "value=\"33\"", "value=\"9\"", "value=\"100 kPa\"")
        .containsPattern("value=\"sign-off\"[^>]*checked")
        .containsPattern("value=\"digital\"[^>]*checked")
        .containsPattern("name=\"soak\" value=\"hours\"[^>]*checked");
  }

  private static String path(Http.Answer led) {
    return led.location().replaceAll("^https?://[^/]+", "");
  }
}
