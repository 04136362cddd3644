package gotera.testkit;

import java.util.Random;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** Seeded cases for properties: the same on every machine and in every order. */
public final class Seeds {
  /** Whether as many cases are wanted as {@code bench/long} runs: {@code -Dtest.long=true}. */
  private static final boolean LONG = Boolean.getBoolean("test.long");

  private Seeds() {}

  /**
   * How many cases.
   *
   * @param usual before every commit
   * @param most in the long run
   */
  public static int cases(int usual, int most) {
    return LONG ? most : usual;
  }

  /** So many generators, each from its own seed. */
  public static Stream<Random> of(int count) {
    return LongStream.rangeClosed(1, count).mapToObj(seed -> new Random(7919 * seed));
  }

  /** A number between two others, evenly spread. */
  public static double between(Random random, double low, double high) {
    return low + (high - low) * random.nextDouble();
  }
}
