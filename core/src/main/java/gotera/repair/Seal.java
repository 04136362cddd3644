package gotera.repair;

import gotera.circuit.Fastening;
import gotera.word.Worded;

/**
 * What is renewed where a joint was opened: a seal that has been exposed is not used again (common
 * practice, no source).
 */
public enum Seal implements Worded {
  GASKET,
  O_RING,
  WASHER,
  CLAMP,
  PLUG,
  CAP,
  FITTING,
  NONE;

  /** The seal of a joint that is held so. */
  public static Seal of(Fastening fastening) {
    return switch (fastening) {
      case BOLTS -> GASKET;
      case O_RING, QUICK_CONNECTOR -> O_RING;
      case SCREW -> WASHER;
      case CLAMP, LOOP -> CLAMP;
      case PRESSED_IN -> PLUG;
      case CAP -> CAP;
      case PUSH_FIT -> FITTING;
      case CRIMP, SOLDERED, NONE -> NONE;
    };
  }
}
