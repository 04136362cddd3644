package gotera.web.gauge;

import gotera.device.Sequence;
import gotera.pressure.trace.TraceEvent;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What gauges sent lately, by number; its callers hold the transaction. Against it is held what
 * comes again, and from it a test takes what was read before the gauge was put there.
 */
@Component
class SentReadings {
  /**
   * So many numbers back it is remembered (our judgement): a quarter of an hour of a fast gauge.
   */
  static final long REMEMBERED = 10_000;

  /** Forgotten are many at once. */
  private static final long AT_ONCE = 1000;

  /** What a gauge tells by itself, by its place in what is stored. */
  static final List<TraceEvent.Kind> TOLD =
      List.of(TraceEvent.Kind.PUMPED, TraceEvent.Kind.VALVE_SHUT, TraceEvent.Kind.RELEASED);

  private static final int BYTES = 2 * Long.BYTES + 3 * Double.BYTES;

  private final JdbcTemplate database;

  SentReadings(JdbcTemplate database) {
    this.database = database;
  }

  /**
   * A reading whose moment is known.
   *
   * @param number its number, counted over all runs of the gauge
   * @param ours when it was made, by our clock (s since 1970)
   * @param pressure the gauge (kPa); empty where it is none that any gauge shows
   * @param temperature of the coolant (°C)
   * @param event what was done
   * @param kept whether it is in a test already
   */
  record Sent(
      long number,
      double ours,
      OptionalDouble pressure,
      OptionalDouble temperature,
      Optional<TraceEvent.Kind> event,
      boolean kept) {}

  /** Remembers readings that are new, in order. */
  void keep(UUID gauge, List<Sent> readings) {
    if (readings.isEmpty()) {
      return;
    }
    long first = readings.get(0).number();
    long last = readings.get(readings.size() - 1).number();
    ByteBuffer payload = ByteBuffer.allocate(BYTES * readings.size());
    for (Sent r : readings) {
      payload.putLong(r.number()).putDouble(r.ours());
      payload.putDouble(r.pressure().orElse(Double.NaN));
      payload.putDouble(r.temperature().orElse(Double.NaN));
      payload.putLong(r.event().map(e -> TOLD.indexOf(e) + 1).orElse(0) * 2L + (r.kept() ? 1 : 0));
    }
    database.update(
        "insert into gauge_sent (gauge_id, last_number, first_number, made_from, made_to, payload)"
            + " values (?, ?, ?, ?, ?, ?)",
        gauge.toString(),
        last,
        first,
        readings.get(0).ours(),
        readings.get(readings.size() - 1).ours(),
        payload.array());
    if (last / AT_ONCE > (first - 1) / AT_ONCE) {
      database.update(
          "delete from gauge_sent where gauge_id = ? and last_number < ?",
          gauge.toString(),
          last - REMEMBERED);
    }
  }

  /** The pressures of remembered readings (kPa; not a number where none was shown), by number. */
  Map<Long, Double> pressures(UUID gauge, Sequence.Range numbers) {
    Map<Long, Double> found = new HashMap<>();
    database
        .query(
            "select payload from gauge_sent where gauge_id = ? and last_number >= ? and first_number <= ?",
            (row, n) -> read(row.getBytes(1)),
            gauge.toString(),
            numbers.from(),
            numbers.to())
        .forEach(all -> all.forEach(r -> found.put(r.number(), r.pressure().orElse(Double.NaN))));
    return found;
  }

  /** Remembered readings that are in no test, made within a time of ours (s), in order. */
  List<Sent> free(UUID gauge, double from, double before) {
    return database
        .query(
            "select payload from gauge_sent where gauge_id = ? and made_to >= ? and made_from < ?",
            (row, n) -> read(row.getBytes(1)),
            gauge.toString(),
            from,
            before)
        .stream()
        .flatMap(List::stream)
        .filter(r -> !r.kept() && r.pressure().isPresent() && r.ours() >= from && r.ours() < before)
        .sorted(Comparator.comparingDouble(Sent::ours))
        .toList();
  }

  private static List<Sent> read(byte[] payload) {
    ByteBuffer packed = ByteBuffer.wrap(payload);
    List<Sent> all = new ArrayList<>();
    while (packed.remaining() >= BYTES) {
      long number = packed.getLong();
      double ours = packed.getDouble();
      OptionalDouble pressure = shown(packed.getDouble());
      OptionalDouble temperature = shown(packed.getDouble());
      long rest = packed.getLong();
      int event = (int) (rest / 2);
      all.add(
          new Sent(
              number,
              ours,
              pressure,
              temperature,
              event == 0 ? Optional.empty() : Optional.of(TOLD.get(event - 1)),
              rest % 2 == 1));
    }
    return all;
  }

  private static OptionalDouble shown(double value) {
    return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
