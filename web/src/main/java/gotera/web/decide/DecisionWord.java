package gotera.web.decide;

import gotera.word.Worded;

/** What the customer decides about a line. */
public enum DecisionWord implements Worded {
  OPEN,
  ACCEPTED,
  REFUSED,
  PUT_OFF
}
