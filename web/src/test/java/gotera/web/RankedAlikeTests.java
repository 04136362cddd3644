package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.JobFile;
import gotera.formats.JobJson;
import gotera.formats.RankJson;
import gotera.formats.ReadOutcome;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.standing.Standing;
import gotera.suspects.Assessment;
import gotera.suspects.Assessment.Suspect;
import gotera.suspects.Observation.Looked;
import gotera.web.Application.Running;
import gotera.web.evidence.Cases;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.retest.ProofService;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A job exported from its page and ranked on the command line gives the numbers of the page. */
@ExtendWith(Application.class)
class RankedAlikeTests {
  private static final List<String> DEMO =
      List.of("Fenn 20", "Halde 31", "Corrie 12", "Skarn set 2");

  private final Running application;
  private final Http lead;

  RankedAlikeTests(Running application) {
    this.application = application;
    this.lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
  }

  @Test
  void everyJobOfTheDemonstration() {
    List<JobView> jobs =
        application.bean(JobService.class).open().stream()
            .filter(j -> j.vehicle().isPresent())
            .filter(j -> DEMO.contains(j.vehicle().get()))
            .toList();
    assertThat(jobs).extracting(j -> j.vehicle().orElseThrow()).containsAll(DEMO);
    for (JobView job : jobs) {
      Http.Answer exported = lead.get("/jobs/" + job.id() + "/job.json");
      assertThat(exported.status()).isEqualTo(200);
      ReadOutcome<JobFile> read = JobJson.read(exported.text());
      assertThat(read).as(exported.text()).isInstanceOf(ReadOutcome.Accepted.class);
      JobFile file = ((ReadOutcome.Accepted<JobFile>) read).value();
      Assessment onThePage = Assessment.of(application.bean(Cases.class).of(job.id()));
      Assessment ranked = Assessment.of(file.job());
      assertThat(ranked.suspects()).as("to the last digit").isEqualTo(onThePage.suspects());
      assertThat(ranked.next()).isEqualTo(onThePage.next());
      assertThat(ranked.flags()).isEqualTo(onThePage.flags());
      assertThat(ranked.job().balance()).isEqualTo(onThePage.job().balance());
      assertThat(Standing.of(file.visit(), Purpose.SIGN_OFF.usual()))
          .as("as the pages tell it")
          .isEqualTo(application.bean(ProofService.class).of(job.id()));
      assertThat(RankJson.line("job", file)).contains("\"suspects\":[");
      String page = lead.get("/jobs/" + job.id() + "/find").text();
      List<String> found =
          ranked.job().wet().stream().filter(l -> l.flow().isPresent()).map(Looked::place).toList();
      List<Suspect> shown =
          ranked.worthALine().stream().filter(s -> !found.contains(s.place())).limit(4).toList();
      for (Suspect s : shown) {
        assertThat(page).contains(Math.round(100 * s.probability()) + " %");
      }
    }
  }

  @Test
  void whileMoreLeaksThanWasFoundTheWayLeadsToFindAndNotToTheRepair() {
    UUID job = demo("Halde 31");
    assertThat(lead.get("/jobs/" + job).location()).endsWith("/find");
    assertThat(lead.get("/jobs/" + job + "/pressure-test").text()).contains("Next: Find");
  }

  private UUID demo(String vehicle) {
    return application.bean(JobService.class).open().stream()
        .filter(j -> j.vehicle().filter(vehicle::equals).isPresent())
        .map(JobView::id)
        .findFirst()
        .orElseThrow();
  }
}
