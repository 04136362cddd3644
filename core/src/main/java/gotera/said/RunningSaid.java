package gotera.said;

import java.util.OptionalDouble;

/** A look at the running engine. */
public sealed interface RunningSaid extends Said {
  /** It runs and is looked at. */
  record Started() implements RunningSaid {}

  /**
   * The first drop fell.
   *
   * @param joint where
   * @param minutes how long it had run (min)
   */
  record FirstDrop(String joint, double minutes) implements RunningSaid {}

  /**
   * No drop fell.
   *
   * @param joint the one place that was watched; empty where all were
   * @param minutes how long it ran (min)
   * @param celsius how warm that place was (°C), where it was read
   */
  record StayedDry(String joint, double minutes, OptionalDouble celsius)
      implements RunningSaid, EndsRun {}
}
