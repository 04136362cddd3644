package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.decide.Money;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Slips that are asked back, and what does not get lost when something is changed or undone. */
@ExtendWith(Application.class)
class AskedBackTests {
  private Http here;
  private Http.Begun begun;

  @BeforeEach
  void begin(Application.Running application) {
    here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    begun = here.begin();
  }

  private Http.Answer reading(String gauge, String confirmed) {
    Map<String, String> typed = new HashMap<>(Map.of("gauge", gauge, "confirmed", confirmed));
    typed.values().removeIf(String::isEmpty);
    return here.post("/tests/" + begun.test() + "/readings", typed);
  }

  @Test
  void aPointThatSlippedIsAskedBack() {
    assertThat(reading("108 kPa", "").status()).isEqualTo(302);
    Http.Answer slipped = reading("10.8 kPa", "");
    assertThat(slipped.status()).isEqualTo(422);
    assertThat(slipped.text()).contains("is the point at its place?").contains("10.8 kPa");
    assertThat(reading("10.8 kPa", "true").status()).isEqualTo(302);
    Http.Answer undone = here.post("/tests/" + begun.test() + "/undo", Map.of());
    assertThat(here.get(undone.location().replaceAll("^https?://[^/]+", "")).text())
        .contains("Undone: 10.8 kPa at");
  }

  /** From where a test would not count it is asked back. */
  @Test
  void aLittleAboveTheCapIsAskedBackToo() {
    Http.Answer high = reading("123 kPa", "");
    assertThat(high.status()).as("the cap is stamped 1.2 bar").isEqualTo(422);
    assertThat(high.text()).contains("above the limit");
    assertThat(reading("120.5 kPa", "").status()).isEqualTo(302);
  }

  @Test
  void aTesterReadInTheUnitOfTheStampIsAskedBack() {
    String job = begun.job();
    here.post(job + "/cap", Map.of("stamp", "16 psi"));
    Http.Answer bare = here.post(job + "/cap/test", Map.of("opening", "16.5"));
    assertThat(bare.status()).isEqualTo(422);
    assertThat(bare.text()).contains("Type the unit: 16.5 psi or 16.5 kPa");
    assertThat(here.post(job + "/cap/test", Map.of("opening", "16.5 psi")).status()).isEqualTo(302);
  }

  @Test
  void centsAreTold(Application.Running application) {
    Money money = application.bean(Money.class);
    assertThat(money.say(120.5, "EUR")).isEqualTo("120.50\u00a0EUR");
    assertThat(money.say(120, "EUR")).isEqualTo("120\u00a0EUR");
  }

  /** A wet place stays found when the circuit changes: it is listed, and asked about. */
  @Test
  void whatHasNoPlaceAnyMoreIsListedAndAskedAbout() {
    Map<String, String> wet =
        Map.of("joint", "thermostat-housing.gasket", "saw", "wet", "state", "cold-pressure");
    assertThat(here.post(begun.job() + "/find", wet).status()).isEqualTo(302);
    Map<String, String> electric = new HashMap<>();
    electric.put("vehicle", "Lume 40 " + begun.test());
    electric.put("typeName", "Lume 40 drive " + begun.test());
    electric.put("drive", "electric");
    electric.put("fill", "tank");
    electric.put("engine", "inline");
    electric.put("orientation", "along");
    electric.put("version", "0");
    assertThat(here.post(begun.job() + "/circuit", electric).status()).isEqualTo(302);
    Http.Answer find = here.get(begun.job() + "/find");
    assertThat(find.text())
        .contains("Seen at a place that this circuit does not have any more")
        .contains("was seen to leak, and this circuit does not have it any more");
    here.post(find.find("(/jobs/[^\"]+/looks/[0-9a-f-]{36}/withdraw)"), Map.of());
    assertThat(here.get(begun.job() + "/find").text()).doesNotContain("does not have any more");
  }

  /** Cylinder 9 of six: asked back, and nothing is written. */
  @Test
  void aCylinderThatTheEngineHasNotIsAskedBack() {
    Map<String, String> six = new HashMap<>();
    six.put("vehicle", "Trog 63 " + begun.test());
    six.put("typeName", "Three litre six " + begun.test());
    six.put("drive", "diesel");
    six.put("fill", "neck");
    six.put("engine", "inline");
    six.put("cylinders", "6");
    six.put("orientation", "along");
    six.put("version", "0");
    assertThat(here.post(begun.job() + "/circuit", six).status()).isEqualTo(302);
    Http.Answer nine =
        here.post(begun.job() + "/inside/cylinders", Map.of("number", "9", "saw", "wet"));
    assertThat(nine.status()).isEqualTo(422);
    assertThat(nine.text()).contains("This engine has 6 cylinders");
    Http.Answer plug =
        here.post(begun.job() + "/inside/plugs", Map.of("number", "7", "saw", "grey"));
    assertThat(plug.status()).isEqualTo(422);
    assertThat(
            here.post(begun.job() + "/inside/cylinders", Map.of("number", "6", "saw", "wet"))
                .status())
        .isEqualTo(302);
  }

  @Test
  void withoutALeakAJobEndsWithoutOne() {
    here.post(begun.job() + "/close", Map.of("ending", "proven"));
    assertThat(here.get(begun.job() + "/hand-over").text())
        .contains("no leak ever showed in this job");
    here.post(begun.job() + "/close", Map.of("ending", "no-leak"));
    assertThat(here.get(begun.job() + "/hand-over").text()).contains("no test found it tight yet");
  }

  /** Water to the brim at intake weakens what is in, and is told as lost before. */
  @Test
  void waterAtIntakeCountsInTheAccount() {
    Map<String, String> intake =
        Map.of(
            "vehicle", "Sill " + begun.test(),
            "liquid", "7 L",
            "strength", "50",
            "topUp", "1.2 L",
            "version", "0");
    String job =
        here.post("/jobs/new", intake).location().replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
    assertThat(here.get(job + "/fill-up").text()).contains("<b>41 %</b>").contains("1.2 L");
    assertThat(here.get(job + "/hand-over").text()).contains("the coolant is weaker than it came");
    here.post(job + "/fill-up", Map.of("what", "brim", "fillVolume", "1.2 L"));
    assertThat(here.get(job + "/fill-up").text())
        .as("the same water, written down here too")
        .contains("<b>41 %</b>");
    here.post(job + "/fill-up", Map.of("what", "in", "fillVolume", "4 L"));
    assertThat(here.get(job + "/fill-up").text()).contains("More stands in the account");
  }

  /** Two people at one jug: it is in once, also where they tap in the same instant. */
  @Test
  void aJugThatTwoBookIsInOnce(Application.Running application) {
    String job = begun.job();
    here.post(
        job + "/intake",
        Map.of(
            "vehicle",
            "Jug " + begun.test(),
            "liquid",
            "8 L",
            "strength",
            "50",
            "version",
            here.get(job + "/intake").find("name=\"version\" value=\"(\\d+)\"")));
    here.post(job + "/fill-up", Map.of("what", "drained", "fillVolume", "4 L"));
    here.post(job + "/refill/mix", Map.of("wanted", "50", "jug", "1 L", "glycol", "ethylene"));
    String booked = here.get(job + "/refill").find("name=\"booked\" value=\"(\\d+)\"");
    assertThat(here.post(job + "/refill/pour", Map.of("booked", booked)).status()).isEqualTo(302);
    here.post(job + "/refill/pour", Map.of("booked", booked));
    assertThat(here.get(job + "/refill").text()).contains("Somebody booked meanwhile");
    assertThat(here.get(job + "/fill-up").text()).contains("<b>5 L</b>");
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    String next = lead.get(job + "/refill").find("name=\"booked\" value=\"(\\d+)\"");
    here.get(job + "/refill");
    CompletableFuture.allOf(
            CompletableFuture.runAsync(
                () -> here.post(job + "/refill/pour", Map.of("booked", next))),
            CompletableFuture.runAsync(
                () -> lead.post(job + "/refill/pour", Map.of("booked", next))))
        .join();
    assertThat(here.get(job + "/fill-up").text()).as("one of the two").contains("<b>6 L</b>");
  }
}
