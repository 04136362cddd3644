package gotera.web.pressure;

import gotera.formats.HoldDescription.EarlierMember;
import gotera.pressure.HoldConditions;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.TraceEvent;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What the tests of the last hour mean for the next one on the same vehicle. */
final class EarlierTests {
  /** Settling is mostly used up for about an hour (our judgement, untested). */
  private static final Duration SETTLED = Duration.ofHours(1);

  /** Hoses recover for about half an hour (our judgement, untested). */
  private static final Duration RECOVERS = Duration.ofMinutes(30);

  private EarlierTests() {}

  /** What settled in the holds of the last hour that kept their pressure to the end. */
  static List<EarlierMember> settled(List<PressureTestView> tests, Instant now) {
    return tests.stream()
        .filter(t -> t.conditions().medium() == Medium.LIQUID)
        .filter(t -> t.finishedAt().filter(f -> f.isAfter(now.minus(SETTLED))).isPresent())
        .filter(t -> letOff(t).isEmpty())
        .flatMap(t -> t.result().rate().stream())
        .map(r -> new EarlierMember(r.settled(), r.settledU()))
        .toList();
  }

  /**
   * Minutes since a test held a higher pressure, if hoses may still recover from it. Pumped up
   * again as high they stretch once more, and there is nothing to recover from.
   *
   * @param gauge pressure at which the valve is shut now (kPa)
   */
  static OptionalDouble minutesSinceHigher(
      List<PressureTestView> tests, Instant now, double gauge) {
    return tests.stream()
        .filter(t -> t.trace().highest().orElse(0.0) > HoldConditions.HIGHER * gauge)
        .map(EarlierTests::highestAt)
        .filter(at -> at.isAfter(now.minus(RECOVERS)) && !at.isAfter(now))
        .mapToDouble(at -> Duration.between(at, now).toMillis() / 60_000.0)
        .min();
  }

  /** When a test last read a pressure near its highest. */
  private static Instant highestAt(PressureTestView test) {
    double high = test.trace().highest().orElseThrow() / HoldConditions.HIGHER;
    int i = test.trace().size() - 1;
    while (test.trace().gauge(i) < high) {
      i--;
    }
    return test.startedAt().plusMillis(Math.round(test.trace().seconds(i) * 1000));
  }

  /** When pressure was let off or coolant drawn in a test, if it was. */
  private static Optional<Instant> letOff(PressureTestView test) {
    Optional<Instant> event =
        test.trace().events().stream()
            .filter(e -> e.kind() == TraceEvent.Kind.RELEASED || e.kind() == TraceEvent.Kind.DRAW)
            .map(e -> test.startedAt().plusMillis(Math.round(e.seconds() * 1000)))
            .reduce((a, b) -> b);
    boolean drawn =
        !test.hold().compliance().draws().isEmpty() || test.hold().closingDraw().isPresent();
    return event.or(() -> drawn ? test.finishedAt() : Optional.empty());
  }
}
