package gotera.web.guide;

import gotera.web.figures.Figures;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A clock that runs down on a page, and rings.
 *
 * @param label what it counts to
 * @param due when it is there (ms since 1970)
 * @param within how well that is known, in words; empty for exactly
 * @param urgent whether what is due then spoils the check
 */
public record Clock(String label, long due, String within, boolean urgent) {
  /** Shorter than this is told in seconds (s). */
  private static final int SHORT = 90;

  private static final int A_MINUTE = 60;

  /** A clock to a moment that is foreseen. */
  public static Clock to(String label, Instant from, double minutes, double u, boolean urgent) {
    double half = gotera.uncertainty.DecisionLimits.halfWidth(u);
    long seconds = Math.round(A_MINUTE * half);
    String within =
        half <= 0
            ? ""
            : "\u00b1 " + (seconds < SHORT ? seconds + " s" : Figures.twoDigits(half) + " min");
    return new Clock(
        label, from.plusMillis((long) (60_000 * minutes)).toEpochMilli(), within, urgent);
  }

  /** A clock that runs for so long from a moment on. */
  public static Optional<Clock> of(String label, Optional<Instant> from, Duration lasts) {
    return from.map(f -> new Clock(label, f.plus(lasts).toEpochMilli(), "", false));
  }
}
