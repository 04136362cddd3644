package gotera.retest;

import java.util.OptionalDouble;

/**
 * A leak showed.
 *
 * @param when under which circumstance
 * @param gauge gauge pressure at which it did (kPa), where one was read
 * @param after minutes until it did (min), where they were counted
 */
public record Shown(Circumstance when, OptionalDouble gauge, OptionalDouble after) {
  /** Under a circumstance, and nothing more is known. */
  public static Shown of(Circumstance when) {
    return new Shown(when, OptionalDouble.empty(), OptionalDouble.empty());
  }

  /** Under pressure (kPa). */
  public static Shown pressed(double gauge) {
    return new Shown(Circumstance.PRESSED, OptionalDouble.of(gauge), OptionalDouble.empty());
  }

  /** After so many minutes of running. */
  public static Shown running(double minutes) {
    return new Shown(Circumstance.RUNNING, OptionalDouble.empty(), OptionalDouble.of(minutes));
  }

  /** Both as one: what a repeat must reach is the harder of the two. */
  Shown and(Shown other) {
    return new Shown(when, harder(gauge, other.gauge), harder(after, other.after));
  }

  private static OptionalDouble harder(OptionalDouble a, OptionalDouble b) {
    return a.isPresent() && b.isPresent()
        ? OptionalDouble.of(Math.max(a.getAsDouble(), b.getAsDouble()))
        : a.isPresent() ? a : b;
  }
}
