package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitEdit;
import gotera.circuit.DripSpot;
import gotera.circuit.Features;
import gotera.circuit.Features.Extra;
import gotera.formats.JobJson;
import gotera.formats.ReadOutcome;
import gotera.look.LookState;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.DripService;
import gotera.web.circuit.EngineTypeService;
import gotera.web.job.JobService;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the pages of a circuit do, without a browser. */
@ExtendWith(Application.class)
class CircuitPagesTests {
  private static final int LARGEST_PAGE = 120 * 1024;

  @Test
  void theFullestCircuitIsASmallPage(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = job(application, "Fullest");
    Set<Extra> extras = EnumSet.allOf(Extra.class);
    extras.remove(Extra.NO_HEATER);
    extras.remove(Extra.OUTLET_OVER_GEARBOX);
    build(application, job, "the fullest", extras);
    for (String page : new String[] {"find", "circuit", "dye", "visual-check"}) {
      Http.Answer answer = http.get("/jobs/" + job + "/" + page);
      assertThat(answer.status()).isEqualTo(200);
      assertThat(answer.text().length()).as(page).isLessThan(LARGEST_PAGE);
    }
    Http.Answer svg = http.get("/jobs/" + job + "/circuit.svg");
    assertThat(svg.header("Content-Type")).startsWith("image/svg+xml");
    assertThat(svg.text())
        .startsWith("<svg ")
        .contains("rear heater")
        .contains("class=\"ground\"/>")
        .doesNotContain("<script");
  }

  @Test
  void aBranchIsLoopedOffOnThisVehicleOnlyAndTakenBack(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    CircuitService circuits = application.bean(CircuitService.class);
    String job = job(application, "Looped");
    build(application, job, "with a rear heater", EnumSet.of(Extra.REAR_HEATER));
    String other = job(application, "Not looped");
    EngineTypeService types = application.bean(EngineTypeService.class);
    types.choose(UUID.fromString(other), types.of(UUID.fromString(job)).orElseThrow().id());

    edit(http, job, Map.of("kind", "loop-off", "subject", "rear-heater"));
    assertThat(circuits.circuit(UUID.fromString(job)).joint("rear-heater-core.tubes")).isEmpty();
    assertThat(circuits.circuit(UUID.fromString(job)).joint("loop.rear-heater")).isPresent();
    assertThat(circuits.circuit(UUID.fromString(other)).joint("rear-heater-core.tubes"))
        .isPresent();
    String page = http.get("/jobs/" + job + "/circuit").text();
    assertThat(page).contains("looped off: rear heater").contains("this vehicle only");
    String made = http.get("/jobs/" + job + "/circuit").find("edits/([0-9a-f-]{36})/withdraw");
    http.post("/jobs/" + job + "/circuit/edits/" + made + "/withdraw", Map.of());
    assertThat(circuits.circuit(UUID.fromString(job)).joint("rear-heater-core.tubes")).isPresent();

    Http.Answer engine = edit(http, job, Map.of("kind", "loop-off", "subject", "engine"));
    assertThat(engine.status()).isEqualTo(422);
    assertThat(edit(http, job, Map.of("kind", "add-joint", "name", "")).text())
        .contains("Please enter a name");
    assertThat(edit(http, job, Map.of("kind", "wings")).status()).isEqualTo(404);
  }

  @Test
  void someoneElsesChangeOfATypeIsNoticed(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = job(application, "Noticed");
    build(application, job, "noticed type", EnumSet.noneOf(Extra.class));
    Map<String, String> form = new LinkedHashMap<>();
    form.put("typeName", "noticed type");
    form.put("drive", "diesel");
    form.put("extras", "oil-cooler");
    form.put("version", "0");
    assertThat(http.post("/jobs/" + job + "/circuit", form).status()).isEqualTo(302);
    Http.Answer late = http.post("/jobs/" + job + "/circuit", form);
    assertThat(late.status()).isEqualTo(422);
    assertThat(late.text()).contains("Someone else wrote");
    form.put("version", late.find("name=\"version\" value=\"(\\d+)\""));
    assertThat(http.post("/jobs/" + job + "/circuit", form).status()).isEqualTo(302);
    form.put("version", "-1");
    assertThat(http.post("/jobs/" + job + "/circuit", form).text())
        .as("a known name given as new")
        .contains("Someone else wrote");
    form.put("typeName", "");
    assertThat(http.post("/jobs/" + job + "/circuit", form).text())
        .contains("Please enter a name for the engine type");
  }

  @Test
  void aShutHeaterValveTakesTheHeaterOutOfTheTest(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = job(application, "Valve");
    build(application, job, "with a valve", EnumSet.of(Extra.HEATER_VALVE));
    assertThat(http.get("/jobs/" + job + "/find").text()).contains("the heater is in the test");
    http.post("/jobs/" + job + "/heater-valve", Map.of("shut", "true"));
    String page = http.get("/jobs/" + job + "/find").text();
    assertThat(page).contains("is not in the test").contains("circuit-still");
  }

  @Test
  void findBeginsInTheStateThatTheTestLeft(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = http.begin();
    String cold = "value=\"cold\" checked";
    String pressed = "value=\"cold-pressure\" checked";
    http.post("/tests/" + begun.test() + "/readings", Map.of("gauge", "112.5", "at", "0"));
    http.post("/tests/" + begun.test() + "/events", Map.of("kind", "place-seen"));
    String find = begun.job() + "/find?joint=radiator.core";
    assertThat(http.get(find).text()).contains(pressed).contains("value=\"112.5 kPa\"");
    http.post(
        begun.job() + "/find",
        Map.of(
            "joint", "radiator.core", "saw", "wet", "state", "cold-pressure", "pressure", "112.5"));
    assertThat(http.get(find).text()).as("let off since").contains(cold).doesNotContain(pressed);
  }

  /** No coolant leaves an evacuated system, and one that nobody pumped up is cold. */
  @ParameterizedTest
  @CsvSource({"vacuum, 60", "gas, 90", "liquid, 0"})
  void findBeginsColdWhereNoCoolantIsPressed(
      String medium, String gauge, Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = http.begin(Map.of("medium", medium));
    http.post("/tests/" + begun.test() + "/readings", Map.of("gauge", gauge, "at", "0"));
    String find = http.get(begun.job() + "/find?joint=radiator.core").text();
    assertThat(find).doesNotContain("value=\"cold-pressure\" checked");
    http.post(begun.job() + "/find", Map.of("joint", "radiator.core", "saw", "dry"));
    assertThat(http.get(begun.job() + "/suspects").text()).contains("Radiator core");
  }

  @Test
  void everySuspectIsListedWithItsReasons(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = http.begin();
    http.post(
        begun.job() + "/find", Map.of("joint", "radiator.core", "saw", "stained", "state", "cold"));
    String page = http.get(begun.job() + "/suspects").text();
    assertThat(page)
        .contains("Radiator core")
        .contains("stained")
        .contains("Elsewhere at the front");
    assertThat(page.split("<th scope=\"row\"", -1)).hasSizeGreaterThan(20);
    assertThat(http.get("/jobs/" + new java.util.UUID(0, 1) + "/suspects").status()).isEqualTo(404);
  }

  @Test
  void theAccountCountsWhatATestDrew(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = http.begin();
    http.post(
        "/tests/" + begun.test() + "/draws",
        Map.of("kind", "measure", "volume", "20", "before", "110", "after", "98"));
    http.post(begun.job() + "/fill-up", Map.of("what", "brim", "fillVolume", "0.5 L"));
    String page = http.get(begun.job() + "/fill-up").text().replace('\u00a0', ' ');
    assertThat(page).contains("to the brim 500 mL at 0 %").contains("let out to measure 20");
    Http.Answer wrong =
        http.post(begun.job() + "/fill-up", Map.of("what", "brim", "fillVolume", "much"));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.text()).contains("value=\"much\"");
    assertThat(
            http.post(
                    begun.job() + "/fill-up/strength",
                    Map.of("freezes", "-80", "glycol", "ethylene"))
                .text())
        .contains("out of range");
  }

  /**
   * A change at a part that went with its feature is left out of the file as it is of the drawing.
   */
  @Test
  void aJobWhoseChangesMakeNoSenseAnyMoreIsStillExportedAndRanked(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = job(application, "Changed and built anew");
    build(application, job, "rebuilt type", EnumSet.of(Extra.REAR_HEATER));
    EngineTypeService types = application.bean(EngineTypeService.class);
    UUID id = UUID.fromString(job);
    types.edit(id, new CircuitEdit.Rename("rear-heater-core", "Rear box"), "bench");
    types.edit(id, new CircuitEdit.Rename("radiator", "Front box"), "bench");
    application.bean(DripService.class).write(id, DripSpot.HEATER_DRAIN, LookState.COLD, "bench");
    types.build(
        id,
        "rebuilt type",
        Features.of(
            Features.Drive.ELECTRIC,
            Features.Fill.TANK,
            Features.Engine.INLINE,
            Features.Orientation.ACROSS),
        types.of(id).orElseThrow().version(),
        "bench");
    Http.Answer file = http.get("/jobs/" + job + "/job.json");
    assertThat(file.status()).isEqualTo(200);
    assertThat(JobJson.read(file.text())).as(file.text()).isInstanceOf(ReadOutcome.Accepted.class);
    assertThat(http.get("/jobs/" + job + "/find").status()).isEqualTo(200);
  }

  private static Http.Answer edit(Http http, String job, Map<String, String> form) {
    return http.post("/jobs/" + job + "/circuit/edits", form);
  }

  private static String job(Application.Running application, String vehicle) {
    JobService jobs = application.bean(JobService.class);
    UUID job = jobs.begin("bench");
    jobs.nameVehicle(job, vehicle);
    return job.toString();
  }

  private static void build(
      Application.Running application, String job, String type, Set<Extra> extras) {
    application
        .bean(EngineTypeService.class)
        .build(
            UUID.fromString(job),
            type,
            new gotera.circuit.Features(
                gotera.circuit.Features.Drive.DIESEL,
                gotera.circuit.Features.Fill.BOTH,
                gotera.circuit.Features.Engine.V,
                gotera.circuit.Features.Orientation.ALONG,
                extras),
            0,
            "bench");
  }
}
