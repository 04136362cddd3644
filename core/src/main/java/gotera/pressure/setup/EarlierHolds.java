package gotera.pressure.setup;

import gotera.pressure.HoldConditions;
import gotera.pressure.HoldConditions.EarlierHold;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;

/** What the holds of the last hour mean for the next one on the same vehicle. */
public final class EarlierHolds {
  /** Settling is mostly used up for about an hour (our judgement, untested). */
  private static final Duration SETTLED = Duration.ofHours(1);

  /** Hoses recover for about half an hour (our judgement, untested). */
  private static final Duration RECOVERS = Duration.ofMinutes(30);

  private EarlierHolds() {}

  /** What settled in the holds of the last hour that kept their pressure to the end. */
  public static List<EarlierHold> settled(List<PastHold> holds, Instant now) {
    return holds.stream()
        .filter(PastHold::ofLiquid)
        .filter(h -> h.finishedAt().filter(f -> f.isAfter(now.minus(SETTLED))).isPresent())
        .filter(h -> h.letOff().isEmpty())
        .flatMap(h -> h.result().rate().stream())
        .map(r -> new EarlierHold(r.settled(), r.settledU()))
        .toList();
  }

  /**
   * Minutes since a hold had a higher pressure, if hoses may still recover from it. Pumped up again
   * as high they stretch once more, and there is nothing to recover from.
   *
   * @param gauge pressure at which the valve is shut now (kPa)
   */
  public static OptionalDouble minutesSinceHigher(List<PastHold> holds, Instant now, double gauge) {
    return holds.stream()
        .filter(h -> h.trace().highest().orElse(0.0) > HoldConditions.HIGHER * gauge)
        .map(PastHold::highestAt)
        .filter(at -> at.isAfter(now.minus(RECOVERS)) && !at.isAfter(now))
        .mapToDouble(at -> Duration.between(at, now).toMillis() / 60_000.0)
        .min();
  }
}
