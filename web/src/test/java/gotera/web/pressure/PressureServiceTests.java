package gotera.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome.Accepted;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.ApplicationParts;
import gotera.web.job.JobService;
import gotera.web.pressure.trace.Kept;
import gotera.web.pressure.trace.Reading;
import gotera.web.pressure.trace.Written;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

@ExtendWith(ApplicationParts.class)
class PressureServiceTests {
  private PressureService tests;
  private Readings readings;
  private Sealing sealing;
  private JdbcTemplate database;
  private KeptViews kept;
  private UUID test;

  @BeforeEach
  void begin(ApplicationParts.Beans beans) {
    tests = beans.of(PressureService.class);
    readings = beans.of(Readings.class);
    sealing = beans.of(Sealing.class);
    database = beans.of(JdbcTemplate.class);
    kept = beans.of(KeptViews.class);
    UUID job = beans.of(JobService.class).begin("someone");
    HoldSetup hold =
        ((Accepted<HoldSetup>)
                HoldJson.read(
                    "{\"rated_kpa\":110,\"liquid_ml\":6000,\"soak\":\"overnight\",\"compliance\":{\"trapped_air_ml\":150},"
                        + "\"gauge\":{\"resolution_kpa\":0.1,\"repeatability_kpa\":0.05}}"))
            .value();
    test = tests.begin(job, Phase.SEARCH, hold, "digital", "someone");
  }

  @Test
  void aReadingOnceAcknowledgedIsStored() {
    assertThat(read(10, 110)).isEqualTo(Written.DONE);
    assertThat(read(20, 109.5)).isEqualTo(Written.DONE);
    assertThat(stored()).isEqualTo(2);
    assertThat(tests.require(test).trace().gauge(1)).isEqualTo(109.5);
  }

  @Test
  void whatIsTypedWithItsTimeGoesWhereItBelongs() {
    read(10, 110);
    read(30, 108);
    assertThat(read(20, 109)).isEqualTo(Written.DONE);
    assertThat(gauges()).containsExactly(110, 109, 108);
    assertThat(read(20, 107)).as("two at one moment").isEqualTo(Written.SAME_TIME);
    assertThat(read(1e7, 107)).as("months away").isEqualTo(Written.TOO_FAR);
    assertThat(stored()).isEqualTo(3);
  }

  @Test
  void aClockThatGoesBackLosesNothing() {
    read(100, 110);
    assertThat(add(UUID.randomUUID(), 40, 109, false)).isEqualTo(Written.CLOCK_BACK);
    assertThat(tests.require(test).trace().seconds(1)).isEqualTo(101);
    assertThat(gauges()).containsExactly(110, 109);
  }

  @Test
  void theSameEntryTwiceIsOneReading() {
    UUID entry = UUID.randomUUID();
    assertThat(add(entry, 10, 110, true)).isEqualTo(Written.DONE);
    assertThat(add(entry, 12, 110, true)).isEqualTo(Written.DONE);
    assertThat(stored()).isEqualTo(1);
  }

  @Test
  void anyReadingCanBeCorrectedOrWithdrawn() {
    read(10, 110);
    read(20, 901);
    read(30, 109);
    Kept wrong = readings.contents(test).readings().get(1);
    readings.correct(
        test,
        wrong.block(),
        wrong.index(),
        new Reading(20, 109.5, OptionalDouble.empty()),
        "someone");
    assertThat(gauges()).containsExactly(110, 109.5, 109);
    assertThat(readings.withdraw(test, wrong.block(), wrong.index(), "someone"))
        .as("somebody else was faster")
        .isEqualTo(Written.GONE);
    Kept first = readings.contents(test).readings().get(0);
    readings.withdraw(test, first.block(), first.index(), "someone");
    assertThat(gauges()).containsExactly(109.5, 109);
    assertThat(stored()).as("all of it stays stored").isEqualTo(4);
  }

  @Test
  void whatCameWithAFileGoesAltogether() {
    Trace.Builder file = Trace.builder();
    for (int i = 0; i < 20; i++) {
      file.reading(i, 110, Double.NaN);
    }
    file.event(TraceEvent.at(1, TraceEvent.Kind.VALVE_SHUT));
    readings.addTrace(test, file.build(), "someone");
    assertThat(readings.lastIsOfAFile(test)).isTrue();
    readings.undo(test, true, "someone");
    assertThat(tests.require(test).trace().size()).isZero();
    assertThat(tests.require(test).trace().events()).isEmpty();
  }

  @Test
  void aFinishedTestCanBeOpenedAndSealedAgain() {
    read(10, 110);
    read(310, 106);
    read(610, 102);
    sealing.finish(test);
    sealing.reopen(test, "someone");
    assertThat(tests.require(test).finishedAt().isPresent()).isFalse();
    assertThat(read(910, 98)).isEqualTo(Written.DONE);
    sealing.finish(test);
    assertThat(sealing.holds(test)).isTrue();
    assertThat(
            database.queryForObject(
                "select count(*) from verdict where pressure_test_id = ?",
                Integer.class,
                test.toString()))
        .as("both verdicts stay in the history")
        .isEqualTo(2);
  }

  @Test
  void aTestThatCannotBeReadStopsNoOther() {
    UUID job = tests.require(test).jobId();
    read(10, 110);
    UUID other = tests.begin(job, Phase.SEARCH, tests.require(test).hold(), "digital", "someone");
    database.update("update pressure_test set hold = '{}' where id = ?", test.toString());
    kept.clear();
    assertThat(tests.all(job)).extracting(PressureTestView::id).containsExactly(other);
    assertThat(tests.broken(job)).extracting(Broken::id).containsExactly(test);
    tests.discard(test, "someone");
    assertThat(tests.broken(job)).isEmpty();
  }

  @Test
  void aReadingTakenBackStaysStoredButDoesNotCount() {
    read(10, 110);
    read(20, 999);
    readings.undo(test, false, "someone");
    assertThat(tests.require(test).trace().size()).isEqualTo(1);
    assertThat(stored()).isEqualTo(2);
    assertThat(read(20, 109)).isEqualTo(Written.DONE);
  }

  @Test
  void aFinishedTestIsSealed() {
    read(10, 110);
    read(600, 90);
    sealing.finish(test);
    assertThat(read(700, 80)).isEqualTo(Written.FINISHED);
    assertThat(readings.undo(test, false, "someone")).isEqualTo(Written.FINISHED);
    assertThat(sealing.holds(test)).isTrue();
    // someone tampers with the readings, and the seal tells; then they are put back for other tests
    String tamper = "update trace_block set payload = reverse(payload) where pressure_test_id = ?";
    database.update(tamper, test.toString());
    boolean heldThen = sealing.holds(test);
    database.update(tamper, test.toString());
    assertThat(heldThen).isFalse();
    assertThat(sealing.holds(test)).isTrue();
  }

  @Test
  void aVerdictOnceGivenNeverChanges() {
    read(10, 110);
    read(310, 106);
    read(610, 102);
    var before = tests.require(test).result();
    sealing.finish(test);
    kept.clear();
    assertThat(tests.require(test).result()).isEqualTo(before);
    // even if the trace behind it were lost, the verdict stands as it was given
    database.update("delete from trace_block where pressure_test_id = ?", test.toString());
    kept.clear();
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
    assertThat(readings.addTrace(test, written, "someone")).isEqualTo(Written.DONE);
    assertThat(stored()).isEqualTo(3);
    Trace read = tests.require(test).trace();
    assertThat(read.size()).isEqualTo(20_000);
    for (int i = 0; i < 20_000; i += 997) {
      assertThat(read.gauge(i)).isEqualTo(written.gauge(i));
      assertThat(read.hasTemperature(i)).isEqualTo(i % 2 == 0);
    }
    assertThat(readings.addTrace(test, written, "someone")).isEqualTo(Written.NOT_EMPTY);
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
      acknowledged += read(i + offset, 110) == Written.DONE ? 1 : 0;
    }
    return acknowledged;
  }

  private Written read(double seconds, double kilopascals) {
    return add(UUID.randomUUID(), seconds, kilopascals, true);
  }

  private Written add(UUID entry, double seconds, double kilopascals, boolean timeTyped) {
    return readings.add(
        test,
        Optional.of(
            new TypedReading(
                entry,
                new Reading(seconds, kilopascals, OptionalDouble.empty()),
                timeTyped,
                false)),
        Optional.empty(),
        "someone");
  }

  private double[] gauges() {
    Trace trace = tests.require(test).trace();
    return IntStream.range(0, trace.size()).mapToDouble(trace::gauge).toArray();
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
