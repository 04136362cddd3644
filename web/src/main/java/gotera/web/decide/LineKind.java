package gotera.web.decide;

import gotera.word.Worded;

/** What a line of the customer's sheet is about. */
public enum LineKind implements Worded {
  /** A way to end the leak; of several ways one is taken. */
  WAY,
  /** A neighbour worth renewing while it is open. */
  NEIGHBOUR,
  /** Another complaint of the visit. */
  COMPLAINT,
  /** Something the customer consents to. */
  CONSENT
}
