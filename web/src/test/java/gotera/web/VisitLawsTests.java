package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Random visits through the services and the database: the order of writing changes nothing, and
 * what is undone leaves nothing behind.
 */
@ExtendWith(Application.class)
class VisitLawsTests {
  private static final List<String> PLACES =
      List.of("upper-hose.radiator-end", "lower-hose.radiator-end", "pump.gasket");
  private static final List<String> SAW = List.of("wet", "dry", "stained", "cleaned");
  private static final List<String> STATES = List.of("cold-pressure", "running", "parked");
  private static final int ENTRIES = 9;

  private Http here;

  @BeforeEach
  void begin(Application.Running application) {
    here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
  }

  /** An entry: where it is sent, and what. */
  private record Entered(String page, Map<String, String> said) {}

  private static List<Entered> visit(Random random) {
    String day = LocalDate.now().minusDays(2).toString();
    LocalTime time = LocalTime.of(7, 0);
    List<Entered> visit = new ArrayList<>();
    for (int i = 0; i < ENTRIES; i++) {
      time = time.plusMinutes(5 + random.nextInt(60));
      visit.add(entry(random, day, time.toString()));
    }
    return visit;
  }

  private static Entered entry(Random random, String day, String time) {
    Map<String, String> said = new HashMap<>();
    said.put("happenedOn", day);
    said.put("happenedTime", time);
    said.put("joint", PLACES.get(random.nextInt(PLACES.size())));
    if (random.nextInt(4) == 0) {
      said.put("note", "Clamp renewed");
      return new Entered("/repair", said);
    }
    said.put("saw", SAW.get(random.nextInt(SAW.size())));
    said.put("state", STATES.get(random.nextInt(STATES.size())));
    return new Entered("/find", said);
  }

  private String job() {
    String vehicle = "Law " + java.util.UUID.randomUUID();
    return here.post("/jobs/new", Map.of("vehicle", vehicle, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  private void enter(String job, Entered entered) {
    Http.Answer answer = here.post(job + entered.page(), entered.said());
    assertThat(answer.status()).as(entered.toString()).isEqualTo(302);
  }

  /** What is said of a job: panel and proof, and the page of the customer without its dates. */
  private String said(String job) {
    String proof = here.get(job + "/re-test/proof").text();
    String panel = proof.replaceAll("(?s)^.*(<aside class=\"so-far.*?</aside>).*$", "$1");
    String main = proof.replaceAll("(?s)^.*(<main.*</main>).*$", "$1");
    String report =
        here.get(job + "/report").text().replaceAll("(?s)^.*?(<main.*</main>).*$", "$1");
    return (panel + main + report)
        .replaceAll("(?s)<(script|svg).*?</\\1>", "")
        .replaceAll("<[^>]*>", " ")
        .replaceAll("Law [0-9a-f-]{36}", "Law")
        .replaceAll("/jobs/[0-9a-f-]{36}", "")
        .replaceAll("(In:|Not handed over)[^.]*\\.", "")
        .replaceAll("\\s+", " ");
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theOrderOfWritingChangesNothingAndWhatIsUndoneLeavesNothing(long seed) {
    Random random = new Random(seed);
    List<Entered> visit = visit(random);
    String inOrder = job();
    visit.forEach(e -> enter(inOrder, e));
    List<Entered> shuffled = new ArrayList<>(visit);
    Collections.shuffle(shuffled, random);
    String later = job();
    shuffled.forEach(e -> enter(later, e));
    String said = said(inOrder);
    assertThat(said(later)).as("seed %d", seed).isEqualTo(said);
    Entered wrong = entry(random, LocalDate.now().minusDays(1).toString(), "12:00");
    enter(later, wrong);
    String list =
        wrong.page().equals("/find") ? "/find?joint=" + wrong.said().get("joint") : "/repair";
    String undo =
        here.get(later + list).find("(/jobs/[^\"]+/(?:looks|repair)/[0-9a-f-]{36}/withdraw)");
    here.post(undo, Map.of());
    if (wrong.page().equals("/find")) {
      assertThat(said(later)).as("undone, seed %d", seed).isEqualTo(said);
    }
  }
}
