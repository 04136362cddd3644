package gotera.refill;

import gotera.pressure.verdict.VerdictKind;
import gotera.word.Worded;

/**
 * What a hold without coolant, by air or by a vacuum, says of filling (common practice, no source:
 * what does not hold dry is not filled). It signs nothing off.
 */
public enum DryHold implements Worded {
  /** It may be filled. */
  HELD,
  /** It fell, or a place was seen: find it first. */
  FELL,
  /** Neither is shown: hold it longer. */
  NOT_TOLD;

  /** By the verdict of the hold. */
  public static DryHold of(VerdictKind verdict) {
    return switch (verdict) {
      case TIGHT -> HELD;
      case LEAK, GROSS, STOPPED -> FELL;
      case NOT_PROVEN, NOT_COUNTED -> NOT_TOLD;
    };
  }
}
