package gotera.testkit;

import org.assertj.core.api.Assertions;
import org.assertj.core.data.Offset;

/** Closeness that names the unit when it fails. */
public final class Close {
  private Close() {}

  /**
   * Fails unless a value lies within a tolerance.
   *
   * @param what what is compared, with its unit
   * @param actual the computed value
   * @param expected the value it should have
   * @param tolerance largest difference allowed, in the same unit
   */
  public static void to(String what, double actual, double expected, double tolerance) {
    Assertions.assertThat(actual).as(what).isCloseTo(expected, Offset.offset(tolerance));
  }
}
