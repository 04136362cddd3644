package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.pressure.Readings;
import gotera.web.pressure.trace.Kept;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Gauges that write by themselves, as they speak to the application. */
@ExtendWith(Application.class)
class GaugeTests {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final HttpClient CLIENT = HttpClient.newHttpClient();

  /** An answer. */
  private record Said(int status, JsonNode body) {}

  private static Said post(String address, String path, String token, String body) {
    try {
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create(address + path))
              .header("Content-Type", "application/json")
              .POST(HttpRequest.BodyPublishers.ofString(body));
      if (!token.isEmpty()) {
        request.header("Authorization", "Bearer " + token);
      }
      HttpResponse<String> answer =
          CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString());
      return new Said(answer.statusCode(), JSON.readTree(answer.body()));
    } catch (IOException | InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** A gauge that is paired with a test. */
  private record Paired(
      Application.Running application, String token, Http bench, Http.Begun begun) {
    Said send(String batch) {
      return post(application.address(), "/api/gauges/readings", token, batch);
    }

    List<Double> stored() {
      return application
          .context()
          .getBean(Readings.class)
          .contents(UUID.fromString(begun.test()))
          .readings()
          .stream()
          .map(Kept::gauge)
          .toList();
    }
  }

  /** Readings with their number as pressure, a tenth of a second apart, the last now. */
  private static String readings(long from, long to) {
    List<String> all = new ArrayList<>();
    for (long n = from; n <= to; n++) {
      all.add(
          String.format(
              Locale.ROOT,
              "{\"number\":%d,\"at\":%.3f,\"pressure\":%.2f,\"temperature\":20.1}",
              n,
              BASE + n * 0.1,
              50 + n / 100.0));
    }
    return String.join(",", all);
  }

  /** The clock of the gauges here: it began at the first of their readings. */
  private static final double BASE = 1000;

  private static String batch(String clock, double sent, String readings) {
    return String.format(
        Locale.ROOT, "{\"clock\":\"%s\",\"sent\":%.3f,\"readings\":[%s]}", clock, sent, readings);
  }

  private static String code(Http bench, String test) {
    bench.post("/tests/" + test + "/gauges/code", Map.of());
    return bench.get("/tests/" + test + "/gauges").find("gauge-code\">([A-Z2-7]{4} [A-Z2-7]{4})<");
  }

  private static String pairing(String code) {
    return "{\"code\":\"" + code + "\",\"name\":\"Bay 2\",\"step\":0.05,\"temperatureStep\":0.1}";
  }

  private static Map<String, String> pairs(String... pairs) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      all.put(pairs[i], pairs[i + 1]);
    }
    return all;
  }

  /** Pairs a gauge by its code; returns its token. */
  static String pair(String address, String code) {
    Said said = post(address, "/api/gauges/pair", "", pairing(code));
    assertThat(said.status()).isEqualTo(201);
    return said.body().get("token").asString();
  }

  private static Paired paired(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    String token = pair(application.address(), code(bench, begun.test()));
    return new Paired(application, token, bench, begun);
  }

  /** A batch of a gauge that was paired when its clock began. */
  private static Said sendNow(Paired gauge, long from, long to) {
    return gauge.send(batch("a", BASE, readings(from, to)));
  }

  @Test
  void eachReadingIsKeptOnceInWhateverOrderAndHoweverOftenItComes(Application.Running application) {
    Paired gauge = paired(application);
    assertThat(sendNow(gauge, 1, 10).body().get("through").asLong()).isEqualTo(10);
    List<int[]> batches = new ArrayList<>();
    for (int from = 11; from <= 200; from += 10) {
      batches.add(new int[] {from, from + 9});
      batches.add(new int[] {Math.max(1, from - 7), from + 4});
    }
    Collections.shuffle(batches, new Random(4));
    // a later batch that overtook is a gap until the earlier one comes
    Said last = null;
    for (int[] b : batches) {
      last = sendNow(gauge, b[0], b[1]);
      if (last.status() == 409) {
        throw new AssertionError(last.body());
      }
    }
    assertThat(last.body().get("through").asLong()).isEqualTo(200);
    assertThat(last.body().get("gaps")).isEmpty();
    List<Double> pressures = gauge.stored();
    assertThat(pressures).hasSize(200);
    assertThat(pressures).isSorted();
    assertThat(pressures).doesNotHaveDuplicates();
  }

  @Test
  void gapsAreToldAndWhatIsLostIsNotAwaited(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 5);
    Said said = sendNow(gauge, 9, 12);
    assertThat(said.body().get("through").asLong()).isEqualTo(5);
    assertThat(said.body().get("gaps").get(0).get("from").asLong()).isEqualTo(6);
    assertThat(said.body().get("gaps").get(0).get("to").asLong()).isEqualTo(8);
    assertThat(gauge.bench().get("/tests/" + gauge.begun().test() + "/gauges").text())
        .contains("3 readings are still missing");
    Said lost =
        gauge.send(
            "{\"clock\":\"a\",\"sent\":1002,\"lost\":[{\"from\":7,\"to\":400}],\"readings\":[]}");
    assertThat(lost.body().get("gaps")).hasSize(1);
    assertThat(lost.body().get("gaps").get(0).get("to").asLong()).isEqualTo(6);
    assertThat(sendNow(gauge, 6, 6).body().get("through").asLong()).isEqualTo(12);
    assertThat(gauge.bench().get("/tests/" + gauge.begun().test() + "/gauges").text())
        .contains("2 readings are lost");
  }

  @Test
  void nothingIsTypedBesideAGaugeThatWrites(Application.Running application) {
    Paired gauge = paired(application);
    String test = "/tests/" + gauge.begun().test();
    sendNow(gauge, 1, 3);
    Http.Answer refused = gauge.bench().post(test + "/readings", Map.of("gauge", "80 kPa"));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.text()).contains("The gauge Bay 2 writes into this test");
    assertThat(refused.text()).as("what was typed").contains("80 kPa");
    assertThat(gauge.bench().post(test + "/events", Map.of("kind", "valve-shut")).status())
        .as("what is done is told all the same")
        .isEqualTo(302);
    assertThat(gauge.stored()).hasSize(3);
    String id = gauge.bench().get(test + "/gauges").find("/gauges/([0-9a-f-]{36})/leave");
    gauge.bench().post(test + "/gauges/" + id + "/leave", Map.of());
    assertThat(gauge.bench().get(test + "/gauges").text()).contains("has readings already");
    assertThat(gauge.bench().post(test + "/readings", Map.of("gauge", "50 kPa")).status())
        .isEqualTo(302);
    gauge.bench().post(test + "/gauges/" + id + "/withdraw", Map.of());
    assertThat(gauge.bench().get(gauge.begun().job() + "/history").text())
        .contains("Gauge Bay 2 writes into Pressure test 1")
        .contains("Gauge Bay 2 does not write into Pressure test 1 any more")
        .contains("Gauge Bay 2 withdrawn");
  }

  @Test
  void whileItIsPumpedNothingIsSaidOfAHold(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 180);
    String live = "/tests/" + gauge.begun().test() + "/live";
    assertThat(gauge.bench().get(live).text())
        .contains("Pumping, up to")
        .doesNotContain("Does not count");
    assertThat(gauge.bench().get(gauge.begun().job() + "/find").text())
        .as("what is known so far")
        .contains("Pumping, up to");
  }

  @Test
  void theEventsOfAGaugeWithAValveAreOnTheCurve(Application.Running application) {
    Paired gauge = paired(application);
    gauge.send(
        batch(
            "a",
            1001,
            "{\"number\":1,\"at\":1000,\"pressure\":10,\"event\":\"pumped\"},"
                + "{\"number\":2,\"at\":1001,\"pressure\":95,\"event\":\"valve-shut\"}"));
    assertThat(gauge.bench().get(gauge.begun().job() + "/pressure-test").text())
        .contains("since valve shut")
        .contains("Bay 2");
  }

  @Test
  void aGaugeThatMovedWritesWhereItStoodWhenItRead(Application.Running application) {
    Paired gauge = paired(application);
    String id =
        gauge
            .bench()
            .get("/tests/" + gauge.begun().test() + "/gauges")
            .find("/gauges/([0-9a-f-]{36})/leave");
    gauge.send(batch("a", BASE, "{\"number\":1,\"at\":1000.001,\"pressure\":50}"));
    Http.Begun other = gauge.bench().begin();
    assertThat(
            gauge
                .bench()
                .post("/tests/" + other.test() + "/gauges/" + id + "/put", Map.of())
                .status())
        .isEqualTo(302);
    double later = BASE + 30;
    // what it read before it moved and sends now belongs to the first test
    Said mixed =
        gauge.send(
            batch(
                "a",
                later,
                "{\"number\":2,\"at\":1000.002,\"pressure\":51},{\"number\":3,\"at\":"
                    + later
                    + ",\"pressure\":52}"));
    assertThat(mixed.body().get("kept").asInt()).isEqualTo(2);
    assertThat(gauge.stored()).hasSize(2);
    // it is taken away from its test: what it reads then belongs nowhere, and is acknowledged
    gauge.bench().post("/tests/" + other.test() + "/gauges/" + id + "/leave", Map.of());
    Said nowhere = gauge.send(batch("a", later + 20, "{\"number\":4,\"at\":1050,\"pressure\":53}"));
    assertThat(nowhere.body().get("notKept").asInt()).isEqualTo(1);
    assertThat(nowhere.body().get("through").asLong()).isEqualTo(4);
    assertThat(nowhere.body().get("standing").asBoolean()).isFalse();
  }

  @Test
  void aWithdrawnTokenOpensNothing(Application.Running application) {
    Paired gauge = paired(application);
    String test = "/tests/" + gauge.begun().test() + "/gauges";
    String id = gauge.bench().get(test).find("/gauges/([0-9a-f-]{36})/leave");
    gauge.bench().post(test + "/" + id + "/withdraw", Map.of());
    assertThat(sendNow(gauge, 1, 2).status()).isEqualTo(401);
    assertThat(gauge.stored()).isEmpty();
    assertThat(post(application.address(), "/api/gauges/readings", "", "{}").status())
        .isEqualTo(401);
    assertThat(post(application.address(), "/api/gauges/readings", "nonsense", "{}").status())
        .isEqualTo(422);
  }

  @Test
  void aCodeIsGoodOnce(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String code = code(bench, bench.begin().test());
    String typed = code.toLowerCase(Locale.ROOT).replace(" ", "-");
    assertThat(post(application.address(), "/api/gauges/pair", "", pairing("abcdefgh")).status())
        .isEqualTo(401);
    assertThat(post(application.address(), "/api/gauges/pair", "", pairing(typed)).status())
        .isEqualTo(201);
    assertThat(post(application.address(), "/api/gauges/pair", "", pairing(typed)).status())
        .isEqualTo(401);
  }

  @Test
  void whatCannotBeUnderstoodIsNamedAndNothingOfItIsKept(Application.Running application) {
    Paired gauge = paired(application);
    Map<String, String> wrong =
        pairs(
            "{",
            "",
            "[]",
            "",
            "{\"sent\":1}",
            "clock",
            "{\"clock\":\"a\"}",
            "sent",
            batch("a", 1, "{\"number\":0,\"at\":1,\"pressure\":1}"),
            "readings[0].number",
            batch("a", 1, "{\"number\":1.5,\"at\":1,\"pressure\":1}"),
            "",
            batch("a", 1, "{\"number\":1,\"pressure\":1}"),
            "readings[0].at",
            batch("a", 1, "{\"number\":1,\"at\":1}"),
            "readings[0].pressure",
            batch(
                "a",
                1,
                "{\"number\":2,\"at\":1,\"pressure\":1},{\"number\":1,\"at\":2,\"pressure\":1}"),
            "readings[1]",
            batch("a", 1, "{\"number\":1,\"at\":1,\"pressure\":1,\"event\":\"place-seen\"}"),
            "readings[0].event",
            batch("a", 1, "{\"number\":1,\"at\":1e300,\"pressure\":1}"),
            "readings[0].at");
    wrong.forEach(
        (body, member) -> {
          Said said = gauge.send(body);
          assertThat(said.status()).as(body).isEqualTo(422);
          assertThat(said.body().get("member").asString()).as(body).isEqualTo(member);
        });
    assertThat(gauge.stored()).isEmpty();
    // a sensor that is torn off must not stop what comes after it
    Said torn =
        gauge.send(
            batch(
                "a",
                1001,
                "{\"number\":1,\"at\":1000,\"pressure\":99999},{\"number\":2,\"at\":1001,\"pressure\":50}"));
    assertThat(torn.body().get("kept").asInt()).isEqualTo(1);
    assertThat(torn.body().get("notShown").asInt()).as("no gauge shows that").isEqualTo(1);
    assertThat(torn.body().get("notKept").asInt()).isZero();
    assertThat(torn.body().get("through").asLong()).isEqualTo(2);
    assertThat(gauge.bench().get("/tests/" + gauge.begun().test() + "/gauges").text())
        .contains("One reading was beyond what any gauge shows");
    // a clock that goes back is told, and goes on under another name
    assertThat(gauge.send(batch("a", 990, "{\"number\":3,\"at\":990,\"pressure\":50}")).status())
        .isEqualTo(409);
    assertThat(
            gauge
                .send(batch("b", 5, "{\"number\":3,\"at\":5,\"pressure\":50}"))
                .body()
                .get("kept")
                .asInt())
        .isEqualTo(1);
  }

  /** A device that was started anew counts from 1 by a clock of another name: nothing is lost. */
  @Test
  void aDeviceThatWasStartedAnewCountsAnew(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 5);
    sendNow(gauge, 9, 12);
    // by the same clock that contradicts what came, and is said
    Said same = gauge.send(batch("a", BASE, "{\"number\":1,\"at\":1001.3,\"pressure\":70}"));
    assertThat(same.status()).isEqualTo(409);
    assertThat(same.body().toString()).contains("counts anew");
    String anew =
        "{\"number\":1,\"at\":4,\"pressure\":71},{\"number\":2,\"at\":4.1,\"pressure\":72}";
    Said first = gauge.send(batch("b", 4, anew));
    assertThat(first.status()).isEqualTo(200);
    assertThat(first.body().get("kept").asInt()).isEqualTo(2);
    assertThat(first.body().get("through").asLong()).isEqualTo(2);
    assertThat(first.body().get("gaps")).isEmpty();
    assertThat(gauge.send(batch("b", 4, anew)).body().get("kept").asInt()).as("again").isZero();
    Said later = gauge.send(batch("b", 4, "{\"number\":5,\"at\":4.5,\"pressure\":73}"));
    assertThat(later.body().get("gaps").get(0).get("from").asLong()).isEqualTo(3);
    assertThat(gauge.stored()).hasSize(12).contains(71.0, 72.0, 73.0);
    // and once more
    assertThat(gauge.send(batch("c", 4, anew)).body().get("through").asLong()).isEqualTo(2);
    assertThat(gauge.bench().get("/tests/" + gauge.begun().test() + "/gauges").text())
        .contains("5 readings are lost");
  }

  /** A number is one reading: another pressure by it is said, and nothing of that batch is kept. */
  @Test
  void aNumberThatCameWithAnotherPressureIsAContradiction(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 5);
    Said other =
        gauge.send(
            batch(
                "a",
                BASE + 1,
                "{\"number\":5,\"at\":1000.5,\"pressure\":70},"
                    + "{\"number\":6,\"at\":1000.6,\"pressure\":70}"));
    assertThat(other.status()).isEqualTo(409);
    assertThat(other.body().get("problem").asString()).contains("with another pressure");
    assertThat(gauge.stored()).hasSize(5);
    assertThat(sendNow(gauge, 1, 6).body().get("kept").asInt()).as("the same again").isEqualTo(1);
  }

  /** It read on before its code was typed: that is not lost, and taken in when somebody says so. */
  @Test
  void whatWasReadBeforeItWasPairedIsTakenInWhenSomebodySaysSo(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    application
        .bean(org.springframework.jdbc.core.JdbcTemplate.class)
        .update(
            "update pressure_test set started_at = started_at - interval 10 minute where id = ?",
            begun.test());
    String page = "/tests/" + begun.test() + "/gauges";
    Paired gauge =
        new Paired(
            application, pair(application.address(), code(bench, begun.test())), bench, begun);
    // its clock shows 2000 now: a minute before, twenty minutes before, and now
    Said said =
        gauge.send(
            batch(
                "a",
                2000,
                "{\"number\":1,\"at\":800,\"pressure\":40},"
                    + "{\"number\":2,\"at\":1940,\"pressure\":41,\"event\":\"valve-shut\"},"
                    + "{\"number\":3,\"at\":1941,\"pressure\":42},"
                    + "{\"number\":4,\"at\":2000,\"pressure\":43}"));
    assertThat(said.body().get("notKept").asInt()).isEqualTo(3);
    assertThat(gauge.stored()).containsExactly(43.0);
    assertThat(bench.get(page).text()).contains("2 readings were made before it stood here");
    String id = bench.get(page).find("/gauges/([0-9a-f-]{36})/early");
    bench.post(page + "/" + id + "/early", Map.of());
    assertThat(gauge.stored()).containsExactly(41.0, 42.0, 43.0);
    assertThat(bench.get(page).text()).doesNotContain("before it stood here");
    bench.post(page + "/" + id + "/early", Map.of());
    assertThat(gauge.stored()).as("once").hasSize(3);
    assertThat(bench.get(begun.job() + "/pressure-test").text()).contains("since valve shut");
  }

  /** A clock that jumps forward without saying so would write where nobody looks. */
  @Test
  void noReadingIsMadeAfterItCame(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 5);
    Said jumped = gauge.send(batch("a", BASE + 1, "{\"number\":6,\"at\":9999,\"pressure\":50}"));
    assertThat(jumped.status()).isEqualTo(409);
    assertThat(jumped.body().get("problem").asString()).contains("another name");
    Said named = gauge.send(batch("b", 9999, "{\"number\":6,\"at\":9999,\"pressure\":50}"));
    assertThat(named.body().get("kept").asInt()).isEqualTo(1);
    assertThat(gauge.stored()).hasSize(6);
  }

  @Test
  void aSealedTestStaysAsItIs(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 10);
    gauge.bench().post("/tests/" + gauge.begun().test() + "/finish", Map.of("sure", "true"));
    Said late = sendNow(gauge, 11, 20);
    assertThat(late.body().get("notKept").asInt()).isEqualTo(10);
    assertThat(late.body().get("through").asLong()).isEqualTo(20);
    assertThat(gauge.stored()).hasSize(10);
  }

  @Test
  void manyAtOnceLoseNothing(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 10);
    // the same and others, all at the same moment
    List<Said> all =
        IntStream.range(0, 40)
            .parallel()
            .mapToObj(i -> sendNow(gauge, 1 + 10L * (i % 20), 10 + 10L * (i % 20)))
            .toList();
    assertThat(all).allMatch(s -> s.status() == 200 || s.status() == 503);
    for (long from = 1; from <= 200; from += 10) {
      sendNow(gauge, from, from + 9);
    }
    assertThat(gauge.stored()).hasSize(200);
  }

  @Test
  void whoWatchesSeesWhatTheGaugeShows(Application.Running application) {
    Paired gauge = paired(application);
    sendNow(gauge, 1, 10);
    String feed = "/tests/" + gauge.begun().test() + "/live/feed";
    try (Stream<String> lines = gauge.bench().lines(feed)) {
      sendNow(gauge, 11, 20);
      assertThat(lines.filter(l -> l.contains("50.2")).findFirst()).isPresent();
    }
    assertThat(gauge.bench().get("/tests/" + gauge.begun().test() + "/live").text())
        .contains("50.2")
        .contains("Bay 2");
  }

  @Test
  void aSimulatedGaugeIsOneTapAway(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String test = "/tests/" + bench.begin().test();
    assertThat(bench.post(test + "/gauges/stand-in", Map.of("kind", "leaks")).location())
        .endsWith(test + "/live");
    assertThat(bench.post(test + "/gauges/stand-in", Map.of("kind", "other")).status())
        .isEqualTo(404);
  }

  /** A gauge that died: pages that are open are told, and nothing is expected of its hold. */
  @Test
  void whatComesFromADeadGaugeIsNotWaitedFor(Application.Running application) {
    Paired gauge = paired(application);
    assertThat(sendNow(gauge, 1, 30).status()).isEqualTo(200);
    String test = "/tests/" + gauge.begun().test();
    gauge.bench().post(test + "/events", Map.of("kind", "valve-shut"));
    var database = application.bean(org.springframework.jdbc.core.JdbcTemplate.class);
    String job = gauge.begun().job().replace("/jobs/", "");
    String count = "select seq from job_change where job_id = ?";
    database.update(
        "update gauge set heard_at = heard_at - interval 20 second where id ="
            + " (select gauge_id from gauge_at_test where pressure_test_id = ?)",
        gauge.begun().test());
    long before = database.queryForObject(count, Long.class, job);
    long end = System.nanoTime() + java.time.Duration.ofMinutes(1).toNanos();
    while (database.queryForObject(count, Long.class, job) <= before) {
      assertThat(System.nanoTime()).as("the job's pages are told").isLessThan(end);
      java.util.concurrent.locks.LockSupport.parkNanos(50_000_000);
    }
    assertThat(gauge.bench().get(test + "/live").text())
        .contains("Nothing has come for more than ten seconds")
        .doesNotContain("afar-go");
    assertThat(gauge.bench().get("/floor").text()).contains("nothing comes from it any more");
  }
}
