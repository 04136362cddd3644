package gotera.bubble;

import gotera.word.Worded;

/** A condition without which bubbles say nothing (common practice, no source). */
public enum BubbleCondition implements Worded {
  /** The hoses were not hot. */
  NOT_WARM,
  /** The temperature moved. */
  NOT_STEADY,
  /** It was not watched for long enough. */
  TOO_SHORT
}
