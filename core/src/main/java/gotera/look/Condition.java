package gotera.look;

import gotera.word.Worded;

/** A condition of a place that tells without wetness. */
public enum Condition implements Worded {
  /** A hose gives way under the fingers. */
  SOFT,
  /** A hose stands out. */
  BULGED,
  /** A split opens when it is pushed or bent. */
  SPLIT_WHEN_PUSHED,
  /** Steam comes when it is squeezed. */
  STEAM_WHEN_SQUEEZED,
  /** Crust, scale or tint. */
  CRUST,
  /** A clamp is rusted. */
  CLAMP_RUSTED,
  /** A clamp turns by hand. */
  CLAMP_LOOSE,
  /** A clamp is broken, the break is dull: long ago. */
  CLAMP_BROKEN_DULL,
  /** A clamp is broken, the break is bright: just now. */
  CLAMP_BROKEN_BRIGHT,
  /** Taken off, it lets liquid through that is poured into it: a crack is proven. */
  LETS_LIQUID_THROUGH,
  /** A line is rusted through or pitted. */
  RUSTED,
  /** A hose or line is rubbed where it touches. */
  CHAFED,
  /** A bearing has play. */
  PLAY,
  /** A bearing is heard. */
  NOISE;

  /** Whether coolant was seen to leave. */
  public boolean leaves() {
    return this == SPLIT_WHEN_PUSHED || this == STEAM_WHEN_SQUEEZED;
  }
}
