package gotera.said;

import gotera.word.Worded;
import java.util.Optional;

/** The one word that answers a look or a touch; some of the answers are signs of a leak. */
public sealed interface Answer extends Worded {
  /** The sign of the vocabulary that it is; most are none. */
  default Optional<String> sign() {
    return Optional.empty();
  }

  /** What comes out of the exhaust. */
  enum Exhaust implements Answer {
    CLEAR,
    WHITE_SMOKE;

    @Override
    public Optional<String> sign() {
      return this == WHITE_SMOKE ? Optional.of("white-smoke") : Optional.empty();
    }
  }

  /** How hard the upper hose is. */
  enum HardHoses implements Answer {
    SOFT,
    HARD_COLD,
    HARD_RUNNING;

    @Override
    public Optional<String> sign() {
      return this == SOFT ? Optional.empty() : Optional.of("hoses-hard-cold");
    }
  }

  /** Whether the cabin gets warm. */
  enum CabinHeat implements Answer {
    HOT,
    COLD;

    @Override
    public Optional<String> sign() {
      return this == COLD ? Optional.of("no-cabin-heat") : Optional.empty();
    }
  }

  /** Whether the fan is driven. */
  enum FanClutch implements Answer {
    DRAGS,
    FREE,
    LOCKED
  }

  /** How a cylinder that was wet was left. */
  enum CylindersLeft implements Answer {
    CRANKED,
    PROTECTED
  }
}
