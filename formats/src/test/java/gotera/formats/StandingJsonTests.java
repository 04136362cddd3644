package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.retest.Repeat;
import gotera.standing.Happened;
import gotera.standing.Standing;
import gotera.standing.Visit;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Looked;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What stands of a job, as a file tells it. */
class StandingJsonTests {
  private static final Instant NOON = Instant.parse("2026-11-20T12:00:00Z");

  private static Happened<Observation> wet(int minutes) {
    return new Happened<>(
        NOON.plusSeconds(60L * minutes),
        new Looked(
            "pump.gasket",
            LookState.PRESSED,
            Sight.WET,
            OptionalDouble.of(90),
            OptionalDouble.empty()));
  }

  @Test
  void provenAndTakenBack() {
    List<Happened<Observation>> seen = new ArrayList<>(List.of(wet(0)));
    seen.add(new Happened<>(NOON.plusSeconds(600), new Observation.Repaired("pump.gasket")));
    List<Happened<Repeat>> held =
        List.of(new Happened<>(NOON.plusSeconds(1200), new Repeat.Hold(0.04, 110)));
    assertThat(StandingJson.text(Standing.of(new Visit(seen, List.of(), held, List.of()), 0.1)))
        .isEqualTo(
            "{\"format\":\"gotera-standing/1\",\"proven\":true,\"showed\":[{\"when\":\"pressed\","
                + "\"from_kpa\":90.0,\"covered\":true,\"upper_bound_ml_per_min\":0.04}],"
                + "\"leaks_again\":[]}");
    seen.add(wet(60));
    assertThat(StandingJson.text(Standing.of(new Visit(seen, List.of(), held, List.of()), 0.1)))
        .contains("\"proven\":false")
        .contains(
            "{\"by\":\"wet\",\"when\":\"pressed\",\"at\":\"2026-11-20T13:00:00Z\","
                + "\"place\":\"pump.gasket\"}");
  }
}
