package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitPresets;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.retest.Circumstance;
import gotera.retest.Repeat;
import gotera.retest.Shown;
import gotera.standing.Happened;
import gotera.standing.LeaksAgain;
import gotera.standing.Standing;
import gotera.standing.Visit;
import gotera.suspects.AsNow;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Looked;
import gotera.testkit.Seeds;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
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

  private static Visit visit(List<Happened<Observation>> seen, List<Happened<Repeat>> held) {
    return new Visit(seen, List.of(), held, List.of());
  }

  private static JobFile again(JobFile file) {
    String text = JobWriter.write(file);
    assertThat(JobJson.read(text)).as(text).isInstanceOf(ReadOutcome.Accepted.class);
    return ((ReadOutcome.Accepted<JobFile>) JobJson.read(text)).value();
  }

  /** Everything that a visit may hold, at random: it is read back as it was written. */
  @Test
  void everyVisitIsReadBack() {
    Seeds.of(200)
        .forEach(
            random -> {
              List<Happened<Observation>> seen = new ArrayList<>();
              List<Shown> shown = new ArrayList<>();
              List<Happened<Repeat>> repeated = new ArrayList<>();
              List<LeaksAgain> failed = new ArrayList<>();
              for (int i = random.nextInt(8); i > 0; i--) {
                Instant at = NOON.plusSeconds(random.nextInt(1_000_000));
                Circumstance when = Circumstance.values()[random.nextInt(5)];
                switch (random.nextInt(4)) {
                  case 0 -> seen.add(wet(random.nextInt(9999)));
                  case 1 -> shown.add(random.nextBoolean() ? Shown.of(when) : Shown.pressed(80));
                  case 2 -> repeated.add(new Happened<>(at, any(random)));
                  default ->
                      failed.add(
                          new LeaksAgain(
                              when,
                              LeaksAgain.By.values()[random.nextInt(8)],
                              random.nextBoolean() ? "" : "pump.gasket",
                              at));
                }
              }
              Visit visit = new Visit(seen, shown, repeated, failed);
              JobFile file = new JobFile(CircuitPresets.USUAL, List.of(), AsNow.OPEN, visit);
              assertThat(again(file)).isEqualTo(file);
              assertThat(Standing.of(again(file).visit(), 0.1)).isEqualTo(Standing.of(visit, 0.1));
            });
  }

  private static Repeat any(Random random) {
    double rate = Seeds.between(random, 0.01, 3);
    return switch (random.nextInt(5)) {
      case 0 -> new Repeat.Hold(rate, Seeds.between(random, 30, 160));
      case 1 -> new Repeat.DryRun(Seeds.between(random, 1, 90));
      case 2 -> new Repeat.Drive();
      case 3 -> new Repeat.Marks(Double.POSITIVE_INFINITY, rate, 3);
      default -> new Repeat.Marks(rate, rate / 9, Seeds.between(random, 1, 40));
    };
  }

  /** A time that is none, a repeat that is none, a bound that is missing: each at its place. */
  @Test
  void whatIsWrongIsRefusedAtItsPlace() {
    refused("\"repeated\":[{\"by\":\"drive\"}]", "proof.repeated[0].happened");
    refused(
        "\"repeated\":[{\"by\":\"hold\",\"happened\":\"2026-11-30T10:00:00Z\"}]",
        "proof.repeated[0].upper_bound_ml_per_min");
    refused(
        "\"failed\":[{\"by\":\"wet\",\"when\":\"pressed\",\"happened\":\"yesterday\"}]",
        "proof.failed[0].happened");
    refused("\"showed\":[{\"when\":\"pressd\"}]", "proof.showed[0].when");
    refused("\"shown\":[]", "proof.shown");
  }

  private static void refused(String proof, String at) {
    ReadOutcome<JobFile> read =
        JobJson.read("{\"format\":\"gotera-job/1\",\"proof\":{" + proof + "}}");
    assertThat(read).as(proof).isInstanceOf(ReadOutcome.Rejected.class);
    assertThat(((ReadOutcome.Rejected<JobFile>) read).problems())
        .as(proof)
        .anyMatch(p -> p.sentence().contains(at));
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
    JobFile file = new JobFile(CircuitPresets.USUAL, List.of(), AsNow.OPEN, visit(seen, held));
    assertThat(again(file)).isEqualTo(file);
    assertThat(RankJson.line("job", again(file)))
        .contains("\"standing\":{\"format\":\"gotera-standing/1\",\"proven\":true");
    seen.add(wet(60));
    assertThat(StandingJson.text(Standing.of(new Visit(seen, List.of(), held, List.of()), 0.1)))
        .contains("\"proven\":false")
        .contains(
            "{\"by\":\"wet\",\"when\":\"pressed\",\"at\":\"2026-11-20T13:00:00Z\","
                + "\"place\":\"pump.gasket\"}");
  }
}
