package gotera.retest;

import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

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

  /**
   * Both as one: it leaks from the lower of the two pressures on, and what takes longer to show
   * asks for the longer repeat.
   */
  Shown and(Shown other) {
    return new Shown(when, least(gauge, other.gauge), most(after, other.after));
  }

  private static OptionalDouble least(OptionalDouble a, OptionalDouble b) {
    return DoubleStream.concat(a.stream(), b.stream()).min();
  }

  private static OptionalDouble most(OptionalDouble a, OptionalDouble b) {
    return DoubleStream.concat(a.stream(), b.stream()).max();
  }
}
