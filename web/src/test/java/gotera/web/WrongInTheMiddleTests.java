package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.simulation.StandInVehicle.Leak;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Whole visits with something wrong in the middle, from empty to their ending, by the forms alone.
 * After each entry report, close and panel are read and held against each other.
 */
@ExtendWith(Application.class)
class WrongInTheMiddleTests {
  private static final String HOSE = "upper-hose.radiator-end";
  private static final String GASKET = "pump.gasket";

  private Http here;
  private String job;
  private String vehicle;

  @BeforeEach
  void begin(Application.Running application) {
    here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    vehicle = "Middle " + UUID.randomUUID();
    job = job();
  }

  private String job() {
    return here.post(
            "/jobs/new",
            Map.of("vehicle", vehicle, "liquid", "8 L", "strength", "50", "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  private void enter(String page, Map<String, String> said) {
    assertThat(here.post(job + page, said).status()).as(page + " " + said).isEqualTo(302);
    Consistent.check(path -> here.get(path).text(), job);
  }

  private void look(String joint, String saw, String state) {
    enter("/find", Map.of("joint", joint, "saw", saw, "state", state));
  }

  private void repaired(String joint) {
    enter("/repair", Map.of("joint", joint, "note", "New, clamps too", "renewed", "true"));
  }

  /** A hold of half an hour as a file, with its draws, sealed. */
  private void hold(String step, String purpose, double leak, long seed) {
    List<Leak> leaks = leak > 0 ? List.of(Leak.seep(leak, 110)) : List.of();
    SimulatedHold hold = new SimulatedHold(8000, 110, leaks, seed);
    Map<String, String> setup = new HashMap<>();
    setup.put("stamp", "1.1 bar");
    setup.put("gaugeStep", "0.1 kPa");
    setup.put("readingMode", "digital");
    setup.put("thermometerStep", "0.05");
    setup.put("liquid", "8 L");
    setup.put("strength", "50");
    setup.put("airGap", "20");
    setup.put("gapArea", "12");
    setup.put("testerVolume", "60 mL");
    setup.put("purpose", purpose);
    enter("/" + step, setup);
    String test = "/tests/" + here.get(job + "/" + step).find("/tests/([0-9a-f-]{36})/readings");
    byte[] csv = hold.csv().getBytes(StandardCharsets.UTF_8);
    assertThat(here.postFile(test + "/trace", Map.of(), "file", csv).status()).isEqualTo(302);
    String[][] shown = hold.draws(20, 2);
    draw(test, "measuring", "20 mL", shown[0]);
    draw(test, "closing", "2 mL", shown[1]);
    assertThat(here.post(test + "/finish", Map.of("sure", "true")).status()).isEqualTo(302);
    Consistent.check(path -> here.get(path).text(), job);
  }

  private void draw(String test, String kind, String volume, String[] shown) {
    Map<String, String> draw =
        Map.of("drawKind", kind, "volume", volume, "before", shown[0], "after", shown[1]);
    assertThat(here.post(test + "/draws", draw).status()).isEqualTo(302);
  }

  private void tight(long seed) {
    hold("re-test", "sign-off", 0, seed);
  }

  /** Closes it; says why not, or nothing where it is closed. */
  private String close(String ending) {
    here.post(job + "/close", Map.of("ending", ending));
    String page = here.get(job + "/hand-over").text();
    String problem = page.replaceAll("(?s)^.*?<p class=\"wrong\">([^<]*)</p>.*$", "$1");
    return problem.equals(page) ? "" : problem;
  }

  private String panel() {
    return here.get(job + "/find").text();
  }

  @Test
  void theWrongPlaceWasNotedAsRepairedAndIsTakenBack() {
    look(HOSE, "wet", "cold-pressure");
    repaired(GASKET);
    assertThat(panel()).as("the hose end is still wet").contains("Prove the repair");
    String wrong = here.get(job + "/repair").find("(/jobs/[^\"]+/repair/[0-9a-f-]{36}/withdraw)");
    here.post(wrong, Map.of());
    assertThat(panel()).doesNotContain("Prove the repair");
    repaired(HOSE);
    tight(71);
    assertThat(close("proven")).isEmpty();
  }

  @Test
  void testedAtAnotherLimitItsBoundDecides() {
    look(HOSE, "wet", "cold-pressure");
    repaired(HOSE);
    hold("re-test", "repair", 0, 72);
    assertThat(close("proven")).as("it bounds less than a sign-off asks for").isEmpty();
  }

  @Test
  void closedAsProvenAndWetAgainAfterAWeek() {
    look(HOSE, "wet", "cold-pressure");
    repaired(HOSE);
    tight(73);
    assertThat(close("proven")).isEmpty();
    here.post(job + "/reopen", Map.of());
    look(HOSE, "wet", "cold-pressure");
    assertThat(panel()).contains("Leaks after the repair", "leaks again; it was repaired on");
    assertThat(close("proven")).contains("It leaks after the repair");
    repaired(HOSE);
    tight(74);
    assertThat(panel()).doesNotContain("leaks again; it was repaired on");
    assertThat(close("proven")).isEmpty();
  }

  @Test
  void anotherVisitWithTheSamePlaceWet() {
    look(HOSE, "wet", "cold-pressure");
    repaired(HOSE);
    tight(75);
    assertThat(close("proven")).isEmpty();
    job = job();
    look(GASKET, "wet", "cold-pressure");
    assertThat(panel()).doesNotContain("leaks again; it was repaired on");
    look(HOSE, "wet", "cold-pressure");
    assertThat(panel()).contains("leaks again; it was repaired on");
    assertThat(close("customer-decides")).isEmpty();
  }

  @Test
  void aLookOfYesterdayIsWrittenAfterTheProof() {
    look(HOSE, "wet", "cold-pressure");
    repaired(HOSE);
    tight(76);
    String yesterday = LocalDate.now().minusDays(1).toString();
    enter(
        "/find",
        Map.of("joint", HOSE, "saw", "wet", "state", "cold-pressure", "happenedOn", yesterday));
    assertThat(panel()).doesNotContain("Leaks after the repair");
    assertThat(close("proven")).isEmpty();
  }

  @Test
  void aLookAtTheWrongPlaceTakesProvenBackUntilItIsUndone() {
    look(HOSE, "wet", "cold-pressure");
    repaired(HOSE);
    tight(77);
    look(GASKET, "wet", "running");
    assertThat(close("proven")).contains("It leaks after the repair");
    String undo =
        here.get(job + "/find?joint=" + GASKET).find("(/jobs/[^\"]+/looks/[0-9a-f-]{36}/withdraw)");
    here.post(undo, Map.of());
    assertThat(panel()).doesNotContain("Leaks after the repair");
    assertThat(close("proven")).isEmpty();
  }

  @Test
  void aBaselineLeaks() {
    hold("pressure-test", "sign-off", 0.8, 78);
    assertThat(close("no-leak")).contains("it leaked here (under pressure)");
    assertThat(close("proven")).isNotEmpty();
    assertThat(close("diagnosis-only")).isEmpty();
    assertThat(here.get(job + "/report").text()).doesNotContain("not everything is proven yet");
  }

  @Test
  void aBaselineIsTight() {
    hold("pressure-test", "sign-off", 0, 79);
    assertThat(close("proven")).contains("no leak ever showed");
    assertThat(close("no-leak")).isEmpty();
    assertThat(here.get(job + "/report").text()).contains("No leak: nothing is lost");
  }

  @Test
  void theRepairDidNotHold() {
    look(HOSE, "wet", "cold-pressure");
    repaired(HOSE);
    hold("re-test", "sign-off", 0.9, 80);
    assertThat(panel()).contains("Leaks after the repair: a hold lost coolant");
    assertThat(close("proven")).contains("It leaks after the repair");
    assertThat(close("left-leaking")).as("nobody consented").isNotEmpty();
    repaired(HOSE);
    tight(81);
    assertThat(close("proven")).isEmpty();
  }

  @Test
  void twoFaultsAndOnlyOneIsRepaired() {
    look(HOSE, "wet", "cold-pressure");
    look(GASKET, "wet", "running");
    repaired(HOSE);
    tight(82);
    assertThat(close("proven")).contains("it showed running, and that was not repeated");
    look(GASKET, "wet", "running");
    assertThat(close("proven")).contains("It leaks after the repair");
    repaired(GASKET);
    tight(83);
    assertThat(close("proven")).contains("running");
    assertThat(close("provisional")).isEmpty();
  }
}
