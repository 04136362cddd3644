package gotera.web.gauge;

import gotera.device.DeviceClock.Exchange;
import gotera.device.Sequence;
import gotera.pressure.trace.TraceEvent;
import gotera.range.Range;
import gotera.web.gauge.Message.Batch;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * A batch that is understood.
 *
 * @param clock name of the gauge's clock
 * @param sent when it was sent, by that clock (s)
 * @param previous the exchange before it
 * @param lost numbers that will not come
 * @param readings in order
 */
record GaugeBatch(
    String clock,
    double sent,
    Optional<Exchange> previous,
    List<Sequence.Range> lost,
    List<Numbered> readings) {
  /** Most readings of a batch (our judgement: some minutes of a fast gauge). */
  static final int MOST = 2000;

  private static final int MOST_LOST = 100;
  private static final int CLOCK_LENGTH = 40;

  /** Numbers beyond this are no count of readings (our judgement: thousands of years of them). */
  private static final long MOST_NUMBER = 1L << 40;

  /**
   * A reading.
   *
   * @param number its number
   * @param at when, by the gauge's clock (s)
   * @param pressure the gauge (kPa); empty where it is none that any gauge shows
   * @param temperature of the coolant (°C)
   * @param event what was done
   */
  record Numbered(
      long number,
      double at,
      OptionalDouble pressure,
      OptionalDouble temperature,
      Optional<TraceEvent.Kind> event) {}

  /** The same, its numbers counted on after so many earlier ones. */
  GaugeBatch after(long earlier) {
    return new GaugeBatch(
        clock,
        sent,
        previous,
        lost.stream().map(l -> new Sequence.Range(l.from() + earlier, l.to() + earlier)).toList(),
        readings.stream()
            .map(
                r ->
                    new Numbered(
                        r.number() + earlier, r.at(), r.pressure(), r.temperature(), r.event()))
            .toList());
  }

  /** Understands a batch, or says where it does not. */
  static GaugeBatch of(@Nullable Batch batch) {
    if (batch == null) {
      throw Refusal.wrong("", "a batch is missing");
    }
    String clock = batch.clock() == null ? "" : batch.clock().strip();
    if (clock.isEmpty() || clock.length() > CLOCK_LENGTH) {
      throw Refusal.wrong("clock", "a name of 1 to " + CLOCK_LENGTH + " characters");
    }
    double sent = finite("sent", batch.sent());
    List<Message.Reading> readings = batch.readings() == null ? List.of() : batch.readings();
    if (readings.size() > MOST) {
      throw Refusal.wrong("readings", "at most " + MOST + " in a batch");
    }
    List<Numbered> understood = new ArrayList<>();
    for (int i = 0; i < readings.size(); i++) {
      understood.add(
          reading("readings[" + i + "]", readings.get(i), i == 0 ? null : understood.get(i - 1)));
    }
    return new GaugeBatch(clock, sent, previous(batch), lost(batch), List.copyOf(understood));
  }

  private static Numbered reading(
      String where, Message.@Nullable Reading reading, @Nullable Numbered before) {
    if (reading == null) {
      throw Refusal.wrong(where, "a reading is missing");
    }
    long number = number(where + ".number", reading.number());
    double at = finite(where + ".at", reading.at());
    if (before != null && (number <= before.number() || at <= before.at())) {
      throw Refusal.wrong(where, "numbers and times grow from reading to reading");
    }
    double pressure = finite(where + ".pressure", reading.pressure());
    Double celsius = reading.temperature();
    return new Numbered(
        number,
        at,
        Range.GAUGE.holds(pressure) ? OptionalDouble.of(pressure) : OptionalDouble.empty(),
        celsius != null && Range.COOLANT.holds(celsius)
            ? OptionalDouble.of(celsius)
            : OptionalDouble.empty(),
        event(where + ".event", reading.event()));
  }

  private static Optional<TraceEvent.Kind> event(String where, @Nullable String word) {
    if (word == null || word.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        Worded.of(TraceEvent.Kind.class, word)
            .filter(SentReadings.TOLD::contains)
            .orElseThrow(() -> Refusal.wrong(where, "pumped, valve-shut or released")));
  }

  private static Optional<Exchange> previous(Batch batch) {
    Message.Exchange e = batch.previous();
    return e == null
        ? Optional.empty()
        : Optional.of(
            new Exchange(
                finite("previous.sent", e.sent()),
                finite("previous.received", e.received()),
                finite("previous.answered", e.answered()),
                finite("previous.heard", e.heard())));
  }

  private static List<Sequence.Range> lost(Batch batch) {
    List<Message.Numbers> lost = batch.lost() == null ? List.of() : batch.lost();
    if (lost.size() > MOST_LOST) {
      throw Refusal.wrong("lost", "at most " + MOST_LOST + " ranges at once");
    }
    List<Sequence.Range> ranges = new ArrayList<>();
    for (Message.Numbers numbers : lost) {
      if (numbers == null) {
        throw Refusal.wrong("lost", "a range is missing");
      }
      long from = number("lost.from", numbers.from());
      long to = number("lost.to", numbers.to());
      if (to < from) {
        throw Refusal.wrong("lost", "\"to\" is below \"from\"");
      }
      ranges.add(new Sequence.Range(from, to));
    }
    return ranges;
  }

  private static long number(String where, @Nullable Long number) {
    if (number == null || number < 1 || number > MOST_NUMBER) {
      throw Refusal.wrong(where, "a whole number from 1");
    }
    return number;
  }

  private static double finite(String where, @Nullable Double value) {
    if (value == null || !Double.isFinite(value) || !Range.TRACE_CLOCK.holds(value)) {
      throw Refusal.wrong(where, "a number, at most 10^10 either way");
    }
    return value;
  }
}
