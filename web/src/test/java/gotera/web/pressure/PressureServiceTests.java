package gotera.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.HoldDescription;
import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome.Accepted;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.ApplicationParts;
import gotera.web.job.JobService;
import gotera.web.pressure.PressureService.Added;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

@ExtendWith(ApplicationParts.class)
class PressureServiceTests {
  private PressureService tests;
  private JdbcTemplate database;
  private SealedTests sealed;
  private UUID test;

  @BeforeEach
  void begin(ApplicationParts.Beans beans) {
    tests = beans.of(PressureService.class);
    database = beans.of(JdbcTemplate.class);
    sealed = beans.of(SealedTests.class);
    UUID job = beans.of(JobService.class).begin("someone");
    HoldDescription hold =
        ((Accepted<HoldDescription>)
                HoldJson.read(
                    "{\"rated_kpa\":110,\"liquid_ml\":6000,\"compliance\":{\"trapped_air_ml\":150},"
                        + "\"gauge\":{\"resolution_kpa\":0.1,\"repeatability_kpa\":0.05}}"))
            .value();
    test = tests.begin(job, Phase.SEARCH, hold, "digital", "someone");
  }

  @Test
  void aReadingOnceAcknowledgedIsStored() {
    assertThat(read(10, 110)).isEqualTo(Added.YES);
    assertThat(read(20, 109.5)).isEqualTo(Added.YES);
    assertThat(stored()).isEqualTo(2);
    assertThat(tests.require(test).trace().gauge(1)).isEqualTo(109.5);
  }

  @Test
  void timesOnlyGoForward() {
    read(10, 110);
    assertThat(read(10, 109)).isEqualTo(Added.NOT_LATER);
    assertThat(read(9, 109)).isEqualTo(Added.NOT_LATER);
    assertThat(stored()).isEqualTo(1);
  }

  @Test
  void aReadingTakenBackStaysStoredButDoesNotCount() {
    read(10, 110);
    read(20, 999);
    tests.undo(test, "someone");
    assertThat(tests.require(test).trace().size()).isEqualTo(1);
    assertThat(stored()).isEqualTo(2);
    assertThat(read(20, 109)).isEqualTo(Added.YES);
  }

  /** A verdict stays readable as it was given, whatever members were added to it since. */
  @Test
  void aVerdictStoredByAnEarlierVersionIsStillRead() {
    for (int i = 0; i <= 20; i++) {
      read(10 + 30 * i, 110 - 0.2 * i);
    }
    tests.finish(test);
    double rate = tests.require(test).result().rate().orElseThrow().rate();
    String id = test.toString();
    String answer =
        database.queryForObject(
            "select answer from verdict where pressure_test_id = ?", String.class, id);
    String earlier =
        answer
            .replaceFirst("\"laws\":\\[[^]]*],", "")
            .replaceFirst("\"pumpedUpAgain\":(true|false),", "")
            .replaceFirst("\"disturbances\":\\[[^]]*],", "");
    assertThat(earlier).hasSizeLessThan(answer.length() - 60);
    database.update("update verdict set answer = ? where pressure_test_id = ?", earlier, id);
    sealed.clear();
    PressureTestView read = tests.require(test);
    assertThat(read.result().rate().orElseThrow().rate()).isEqualTo(rate);
    assertThat(read.result().disturbances()).isEmpty();
    assertThat(read.result().rate().orElseThrow().pumpedUpAgain()).isFalse();
  }

  @Test
  void aFinishedTestIsSealed() {
    read(10, 110);
    read(600, 90);
    tests.finish(test);
    assertThat(read(700, 80)).isEqualTo(Added.FINISHED);
    assertThat(tests.undo(test, "someone")).isEqualTo(Added.FINISHED);
    assertThat(tests.sealHolds(test)).isTrue();
    // someone tampers with the readings, and the seal tells; then they are put back for other tests
    String tamper = "update trace_block set payload = reverse(payload) where pressure_test_id = ?";
    database.update(tamper, test.toString());
    boolean heldThen = tests.sealHolds(test);
    database.update(tamper, test.toString());
    assertThat(heldThen).isFalse();
    assertThat(tests.sealHolds(test)).isTrue();
  }

  @Test
  void aVerdictOnceGivenNeverChanges() {
    read(10, 110);
    read(310, 106);
    read(610, 102);
    var before = tests.require(test).result();
    tests.finish(test);
    sealed.clear();
    assertThat(tests.require(test).result()).isEqualTo(before);
    // even if the trace behind it were lost, the verdict stands as it was given
    database.update("delete from trace_block where pressure_test_id = ?", test.toString());
    sealed.clear();
    assertThat(tests.require(test).result()).isEqualTo(before);
    assertThat(before.verdict()).isEqualTo(VerdictKind.LEAK);
  }

  @Test
  void aLongTraceIsPackedInBlocksAndComesBackUnchanged() {
    Trace.Builder trace = Trace.builder();
    for (int i = 0; i < 20_000; i++) {
      trace.reading(i * 0.1, 110 - i * 1e-4, i % 2 == 0 ? 18 : Double.NaN);
    }
    trace.event(TraceEvent.at(1, TraceEvent.Kind.VALVE_SHUT));
    Trace written = trace.build();
    assertThat(tests.addTrace(test, written, "someone")).isEqualTo(Added.YES);
    assertThat(stored()).isEqualTo(3);
    Trace read = tests.require(test).trace();
    assertThat(read.size()).isEqualTo(20_000);
    for (int i = 0; i < 20_000; i += 997) {
      assertThat(read.gauge(i)).isEqualTo(written.gauge(i));
      assertThat(read.hasTemperature(i)).isEqualTo(i % 2 == 0);
    }
    assertThat(tests.addTrace(test, written, "someone")).isEqualTo(Added.NOT_EMPTY);
  }

  @Test
  void twoPeopleReadingAtOnceLoseNothing() throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(2);
    try {
      List<Future<Integer>> kept =
          List.of(people.submit(() -> keep(0)), people.submit(() -> keep(0.5)));
      int acknowledged = kept.get(0).get() + kept.get(1).get();
      assertThat(tests.require(test).trace().size()).isEqualTo(acknowledged);
      assertThat(acknowledged).isGreaterThan(10);
    } finally {
      people.shutdownNow();
    }
  }

  private int keep(double offset) {
    int acknowledged = 0;
    for (int i = 0; i < 15; i++) {
      acknowledged += read(i + offset, 110) == Added.YES ? 1 : 0;
    }
    return acknowledged;
  }

  private Added read(double seconds, double kilopascals) {
    return tests.addReading(
        test, UUID.randomUUID(), seconds, kilopascals, OptionalDouble.empty(), "someone");
  }

  private int stored() {
    Integer count =
        database.queryForObject(
            "select count(*) from trace_block where pressure_test_id = ?",
            Integer.class,
            test.toString());
    return count == null ? 0 : count;
  }
}
