package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The workshop's page: what its jobs came to, and its own record beside the model's priors. */
@ExtendWith(Application.class)
class WorkshopTests {

  private static String job(Http http, String vehicle) {
    return http.post("/jobs/new", Map.of("vehicle", vehicle, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  @Test
  void aRepairedJobCountsAndItsPlaceIsLearnedWhereTheLeadWantsIt(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    String other = job(http, "Sill 21, asked");
    String before = suspect(http, other);
    for (int i = 0; i < 6; i++) {
      String closed = job(http, "Sill 2" + i);
      http.post(
          closed + "/find", Map.of("joint", "pump.gasket", "saw", "wet", "state", "cold-pressure"));
      http.post(closed + "/repair", Map.of("joint", "pump.gasket", "note", "new"));
      assertThat(http.post(closed + "/close", Map.of("ending", "provisional")).status())
          .isEqualTo(302);
    }
    String again = job(http, "Sill 20");
    String page = http.get("/workshop").text();
    assertThat(page).containsPattern("look, cold, under pressure: \\d+ of \\d+ jobs");
    assertThat(page).contains("Repaired, by place").contains("Pump gasket").contains("Off:");
    assertThat(http.get("/workshop.csv").text()).contains("Sill 20").contains("pump.gasket");
    assertThat(suspect(http, other)).as("off, nothing changes").isEqualTo(before);
    assertThat(http.post("/workshop/odds", Map.of("on", "true")).status()).isEqualTo(403);
    try {
      assertThat(lead.post("/workshop/odds", Map.of("on", "true")).status()).isEqualTo(302);
      assertThat(http.get("/workshop").text()).contains("On:").contains("pump");
      assertThat(suspect(http, other)).as("on, it is suspected more").isNotEqualTo(before);
    } finally {
      lead.post("/workshop/odds", Map.of("on", "false"));
    }
    assertThat(suspect(http, other)).isEqualTo(before);
    assertThat(http.get(again + "/find").status()).isEqualTo(200);
    assertThat(http.get(again + "/earlier").text())
        .contains("Pump gasket")
        .contains("mended for now")
        .doesNotContain("It was not here before");
    assertThat(http.get(other + "/earlier").text()).contains("It was not here before");
    assertThat(http.get(http.begin().job() + "/earlier").status()).isEqualTo(200);
  }

  /** What the page of all suspects says of the pump's gasket. */
  private static String suspect(Http http, String job) {
    return http.get(job + "/suspects").find("(?s)Pump gasket.{0,200}?(\\d+(?:\\.\\d+)?)\\s*%");
  }
}
