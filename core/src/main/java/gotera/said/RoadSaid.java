package gotera.said;

import gotera.word.Worded;

/** A road test. */
public sealed interface RoadSaid extends Said {
  /** What a road test can show. */
  enum RoadTest implements Worded {
    /** The needle stood, and it was dry after. */
    STEADY_DRY,
    NEEDLE_MOVED,
    WET_AFTER;

    /** Whether nothing was wrong. */
    public boolean good() {
      return this == STEADY_DRY;
    }
  }

  /** It was driven. */
  record Driven(RoadTest showed) implements RoadSaid {}
}
