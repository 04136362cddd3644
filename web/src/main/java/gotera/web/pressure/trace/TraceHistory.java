package gotera.web.pressure.trace;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.web.words.Words;
import java.nio.ByteBuffer;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Tells what was read and done in a test. It is written once and carries its writer. */
@Component
public class TraceHistory {
  /** What is said of each block; the readings of a large one stay where they are. */
  private static final String BLOCKS =
      """
      select id, readings, written_at, written_by, if(readings = 1, payload, null) as one,
        if(readings = 1, null, left(sha2(payload, 256), ?)) as hash
      from trace_block where pressure_test_id = ? order by seq
      """;

  private final JdbcTemplate database;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;

  /** Digits of a hash that people read. */
  private static final int HASH_SHOWN = 16;

  private final Words words;

  TraceHistory(
      JdbcTemplate database,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      Words words) {
    this.database = database;
    this.events = events;
    this.corrections = corrections;
    this.words = words;
  }

  /** Everything that was read and done, taken back or not. */
  public List<HistoryEntry> of(UUID testId) {
    List<HistoryEntry> entries = new ArrayList<>();
    Map<UUID, String> said = new HashMap<>();
    database.query(
        BLOCKS,
        row -> {
          UUID id = UUID.fromString(row.getString("id"));
          int readings = row.getInt("readings");
          String what =
              readings == 1
                  ? words.say("history.reading", kilopascals(row.getBytes("one")))
                  : words.say("history.readings", readings, row.getString("hash"));
          said.put(id, what);
          entries.add(
              new HistoryEntry(
                  row.getObject("written_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
                  row.getString("written_by"),
                  what));
        },
        HASH_SHOWN,
        testId.toString());
    for (TraceEventRecord event : events.findByPressureTestIdOrderById(testId)) {
      String what = words.say("event." + event.kind);
      entries.add(new HistoryEntry(event.writtenAt, event.writtenBy, what));
      if (event.withdrawnAt != null && event.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(
                event.withdrawnAt, event.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
    for (TraceCorrectionRecord correction : corrections.findByPressureTestId(testId)) {
      entries.add(
          new HistoryEntry(
              correction.writtenAt,
              correction.writtenBy,
              words.say(
                  "history.taken-back", said.getOrDefault(correction.traceBlockId, "\u2013"))));
    }
    return entries;
  }

  private static String kilopascals(byte[] one) {
    return Figures.plain(ByteBuffer.wrap(one).getDouble(Double.BYTES));
  }
}
