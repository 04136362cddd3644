package gotera.web.gauge;

import gotera.pressure.trace.TraceEvent;
import gotera.web.frame.NotFound;
import gotera.web.gauge.GaugeRows.Row;
import gotera.web.gauge.SentReadings.Sent;
import gotera.web.pressure.Readings;
import gotera.web.pressure.trace.Reading;
import gotera.web.storage.Write;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts what gauges sent into the traces of tests. */
@Service
class GaugeTrace {
  /**
   * Readings of gauges are put between the milliseconds, where those of hands never are (s): no two
   * readings are of the same moment.
   */
  private static final double BETWEEN = TraceEvent.TOLD_APART / 2;

  private final GaugeRows rows;
  private final SentReadings sentReadings;
  private final Readings readings;

  GaugeTrace(GaugeRows rows, SentReadings sentReadings, Readings readings) {
    this.rows = rows;
    this.sentReadings = sentReadings;
    this.readings = readings;
  }

  /**
   * Adds readings to a test.
   *
   * @param by the gauge
   * @param tell whether the pages of the job are told
   * @return whether they are in it; not where it is finished
   */
  boolean keep(UUID test, List<Sent> sent, String by, boolean tell) {
    double started = GaugeRows.seconds(readings.startedAt(test));
    List<Reading> block = new ArrayList<>();
    List<TraceEvent> events = new ArrayList<>();
    for (Sent r : sent) {
      double seconds = Math.floor((r.ours() - started) / (2 * BETWEEN)) * 2 * BETWEEN + BETWEEN;
      block.add(new Reading(seconds, r.pressure().getAsDouble(), r.temperature()));
      r.event().ifPresent(kind -> events.add(TraceEvent.at(seconds, kind)));
    }
    return readings.addBlock(test, block, events, tell || !events.isEmpty(), by).isDone();
  }

  /**
   * What a gauge read before it was put at the test where it stands now, and after that test was
   * begun: it was in no test, and may belong to this one.
   */
  @Transactional(readOnly = true)
  public List<Sent> early(UUID gauge, UUID test) {
    return rows.at(test)
        .filter(s -> s.gauge().equals(gauge))
        .map(
            s ->
                sentReadings.free(
                    gauge,
                    GaugeRows.seconds(readings.startedAt(test)),
                    GaugeRows.seconds(s.begun())))
        .orElse(List.of());
  }

  /** Takes those into the test; the gauge stood there already. */
  @Write
  public void takeEarly(UUID gauge, UUID test) {
    Row row = rows.locked(gauge).orElseThrow(() -> new NotFound("gauge " + gauge));
    List<Sent> early = early(gauge, test);
    if (!early.isEmpty() && keep(test, early, row.made().name(), true)) {
      rows.at(test).ifPresent(s -> rows.beganEarlier(s, readings.startedAt(test), early.size()));
    }
  }
}
