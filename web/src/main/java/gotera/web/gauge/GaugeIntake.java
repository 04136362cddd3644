package gotera.web.gauge;

import gotera.device.DeviceClock;
import gotera.device.Sequence;
import gotera.web.gauge.GaugeBatch.Numbered;
import gotera.web.gauge.GaugeClocks.Kept;
import gotera.web.gauge.GaugeRows.Row;
import gotera.web.gauge.GaugeRows.Stand;
import gotera.web.gauge.Message.Acknowledged;
import gotera.web.gauge.Message.Numbers;
import gotera.web.gauge.SentReadings.Sent;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * Takes what gauges send. A batch is kept whole or not at all, and each reading once, however often
 * and in whatever order batches come; once {@link #take} returns it is durable.
 */
@Service
class GaugeIntake {
  /**
   * Pages of a job hear of more readings so often (our judgement): the page that watches the gauge
   * hears of each batch.
   */
  private static final Duration TOLD_EVERY = Duration.ofSeconds(5);

  /** Clocks that are remembered of a gauge (our judgement). */
  private static final int MOST_CLOCKS = 20;

  private final GaugeRows rows;
  private final GaugeClocks clocks;
  private final SentReadings sentReadings;
  private final GaugeTrace traces;
  private final Clock clock;

  GaugeIntake(
      GaugeRows rows,
      GaugeClocks clocks,
      SentReadings sentReadings,
      GaugeTrace traces,
      Clock clock) {
    this.rows = rows;
    this.clocks = clocks;
    this.sentReadings = sentReadings;
    this.traces = traces;
    this.clock = clock;
  }

  /** What became of the readings of a batch. */
  private record Outcome(int kept, int nowhere, int notShown, boolean told) {}

  /**
   * Takes a batch.
   *
   * @param arrived when it came
   */
  @Write
  public Acknowledged take(String token, GaugeBatch sent, Instant arrived) {
    Row paired =
        rows.locked(token)
            .filter(g -> g.withdrawn().isEmpty())
            .orElseThrow(
                () -> new Refusal(Refusal.Kind.UNKNOWN, "", "this token opens nothing any more"));
    Optional<Kept> known = clocks.clock(paired.id(), sent.clock());
    long earlier = known.map(Kept::earlier).orElseGet(() -> earlier(paired, sent));
    // what a device that was started anew had not sent yet is gone with its memory
    Row gauge = earlier == paired.received().highest() ? closed(paired) : paired;
    GaugeBatch batch = sent.after(earlier);
    Kept kept = placing(gauge, batch, known, earlier, arrived);
    ahead(batch, kept.clock(), arrived);
    sameAsBefore(gauge, batch);
    List<Stand> stands = rows.stands(gauge.id());
    List<Numbered> fresh =
        batch.readings().stream().filter(r -> !gauge.received().has(r.number())).toList();
    Outcome outcome = keep(gauge, stands, kept.clock(), fresh);
    Row after = after(gauge, batch, fresh, outcome);
    Optional<Numbered> last =
        fresh.stream().filter(r -> r.pressure().isPresent()).reduce((a, b) -> b);
    rows.took(
        after,
        last.filter(r -> r.temperature().isPresent())
            .map(r -> r.temperature().getAsDouble())
            .orElse(null));
    clocks.keep(gauge.id(), batch.clock(), kept, clock.instant());
    DeviceClock.Known now = kept.clock().known(batch.sent(), GaugeRows.seconds(arrived));
    return new Acknowledged(
        GaugeRows.seconds(arrived),
        GaugeRows.seconds(clock.instant()),
        Math.max(0, after.received().through() - earlier),
        after.received().gaps().stream()
            .filter(g -> g.to() > earlier)
            .map(g -> new Numbers(Math.max(1, g.from() - earlier), g.to() - earlier))
            .toList(),
        outcome.kept(),
        outcome.nowhere(),
        outcome.notShown(),
        stands.stream().anyMatch(s -> s.ended().isEmpty()),
        now.offset(),
        now.u(),
        now.drift());
  }

  /**
   * A clock that was never heard of, with numbers that have come already, is that of a device that
   * was started anew and counts from the beginning.
   */
  private long earlier(Row gauge, GaugeBatch sent) {
    long now = clocks.earlier(gauge.id());
    boolean anew =
        !sent.readings().isEmpty()
            && sent.readings().get(0).number() == 1
            && gauge.received().has(1 + now);
    return anew ? gauge.received().highest() : now;
  }

  /** A gauge whose gaps will not come any more. */
  private static Row closed(Row gauge) {
    Sequence received = gauge.received();
    Sequence lost = gauge.lost();
    for (Sequence.Range gap : received.gaps()) {
      lost = lost.with(gap);
    }
    return new Row(
        gauge.id(),
        gauge.made(),
        gauge.pairedBy(),
        gauge.withdrawn(),
        notAwaited(received, lost),
        lost,
        gauge.left(),
        gauge.heard(),
        gauge.told(),
        gauge.last());
  }

  /** What is lost is as good as come: nobody waits for it. */
  private static Sequence notAwaited(Sequence received, Sequence lost) {
    Sequence all = received;
    for (Sequence.Range range : lost.ranges()) {
      all = all.with(range);
    }
    return all;
  }

  /**
   * No reading is made after it came: a clock that jumped forward would put it, and all that is
   * read after it, where nobody looks.
   */
  private static void ahead(GaugeBatch batch, DeviceClock placed, Instant arrived) {
    double latest = GaugeRows.seconds(arrived) + DeviceClock.AHEAD;
    if (batch.readings().stream().anyMatch(r -> placed.ours(r.at()) > latest)) {
      throw new Refusal(
          Refusal.Kind.CONFLICT,
          "readings",
          "a reading made later than it came: give a clock that jumped another name");
    }
  }

  /** The gauge's clock with what this batch says of it. */
  private Kept placing(
      Row gauge, GaugeBatch batch, Optional<Kept> known, long earlier, Instant arrived) {
    if (known.isEmpty()) {
      clocks.forgetClocks(gauge.id(), MOST_CLOCKS);
    }
    Kept before = known.orElse(new Kept(Double.NEGATIVE_INFINITY, DeviceClock.UNKNOWN, earlier));
    double reached = before.reached();
    for (Numbered r : batch.readings()) {
      if (r.number() > gauge.received().highest() && known.isPresent() && r.at() <= reached) {
        throw new Refusal(
            Refusal.Kind.CONFLICT,
            "readings",
            "a later reading at an earlier time: give a clock that begins anew another name");
      }
      if (gauge.received().has(r.number()) && known.isPresent() && r.at() > reached) {
        throw new Refusal(
            Refusal.Kind.CONFLICT,
            "readings",
            "a number that has come, at a later time: give the clock of a device that counts anew"
                + " another name");
      }
    }
    DeviceClock heard = batch.previous().map(before.clock()::heard).orElse(before.clock());
    double from = batch.readings().isEmpty() ? batch.sent() : batch.readings().get(0).at();
    DeviceClock placing =
        heard.placing(
            Math.max(reached, known.isPresent() ? reached : from),
            batch.sent(),
            GaugeRows.seconds(arrived));
    double now =
        batch.readings().isEmpty()
            ? reached
            : Math.max(reached, batch.readings().get(batch.readings().size() - 1).at());
    return new Kept(Double.isFinite(now) ? now : batch.sent(), placing, earlier);
  }

  /** A number that comes again is the same reading: another pressure contradicts it. */
  private void sameAsBefore(Row gauge, GaugeBatch batch) {
    List<Numbered> again =
        batch.readings().stream().filter(r -> gauge.received().has(r.number())).toList();
    if (again.isEmpty()) {
      return;
    }
    Map<Long, Double> before =
        sentReadings.pressures(
            gauge.id(),
            new Sequence.Range(again.get(0).number(), again.get(again.size() - 1).number()));
    for (Numbered r : again) {
      Double was = before.get(r.number());
      if (was != null && Double.compare(was, r.pressure().orElse(Double.NaN)) != 0) {
        throw new Refusal(
            Refusal.Kind.CONFLICT,
            "readings",
            "a number that has come, with another pressure: each reading has a number of its own");
      }
    }
  }

  private Outcome keep(Row gauge, List<Stand> stands, DeviceClock placed, List<Numbered> fresh) {
    Map<UUID, List<Sent>> byTest = new LinkedHashMap<>();
    List<Sent> all = new ArrayList<>();
    for (Numbered r : fresh) {
      double ours = placed.ours(r.at());
      Optional<Stand> at = stands.stream().filter(s -> s.holds(ours)).findFirst();
      boolean belongs = at.isPresent() && r.pressure().isPresent();
      Sent sent = new Sent(r.number(), ours, r.pressure(), r.temperature(), r.event(), belongs);
      all.add(sent);
      if (belongs) {
        byTest.computeIfAbsent(at.get().test(), t -> new ArrayList<>()).add(sent);
      }
    }
    sentReadings.keep(gauge.id(), all);
    boolean tell = gauge.told().map(t -> t.plus(TOLD_EVERY).isBefore(clock.instant())).orElse(true);
    int kept = 0;
    for (Map.Entry<UUID, List<Sent>> e : byTest.entrySet()) {
      if (traces.keep(e.getKey(), e.getValue(), gauge.made().name(), tell)) {
        kept += e.getValue().size();
      }
    }
    int notShown = (int) fresh.stream().filter(r -> r.pressure().isEmpty()).count();
    return new Outcome(kept, fresh.size() - notShown - kept, notShown, kept > 0 && tell);
  }

  private Row after(Row gauge, GaugeBatch batch, List<Numbered> fresh, Outcome outcome) {
    Sequence received = gauge.received();
    Sequence lost = gauge.lost();
    for (Numbered r : fresh) {
      received = received.with(new Sequence.Range(r.number(), r.number()));
    }
    for (Sequence.Range range : batch.lost()) {
      // what has come is not lost, and what is beyond the last has not been made yet
      for (Sequence.Range gap : received.gaps()) {
        long from = Math.max(gap.from(), range.from());
        long to = Math.min(gap.to(), range.to());
        if (from <= to) {
          lost = lost.with(new Sequence.Range(from, to));
        }
      }
    }
    received = notAwaited(received, lost);
    if (received.gaps().size() > Sequence.MOST_GAPS) {
      throw new Refusal(
          Refusal.Kind.CONFLICT,
          "readings",
          "too many gaps: send what is missing, or call it lost");
    }
    return new Row(
        gauge.id(),
        gauge.made(),
        gauge.pairedBy(),
        gauge.withdrawn(),
        received,
        lost,
        gauge.left().and(outcome.nowhere(), outcome.notShown()),
        Optional.of(clock.instant()),
        outcome.told() ? Optional.of(clock.instant()) : gauge.told(),
        fresh.stream()
            .filter(r -> r.pressure().isPresent())
            .reduce((a, b) -> b)
            .map(r -> r.pressure().getAsDouble())
            .or(gauge::last));
  }
}
