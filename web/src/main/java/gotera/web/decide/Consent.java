package gotera.web.decide;

import gotera.word.Worded;

/** What a customer consents to. */
public enum Consent implements Worded {
  /** A sealer as a last resort. */
  SEALER,
  /** Driving on as it is. */
  DRIVING_ON,
  /** Left leaking. */
  LEFT_LEAKING
}
