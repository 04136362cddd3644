package gotera.practice;

import gotera.word.Worded;

/** A world that practice vehicles come from; all but the first disagree on purpose. */
public enum World implements Worded {
  /** As we take vehicles to be. */
  USUAL,
  /** Other parts fail, and at other times. */
  OTHER_ODDS,
  /** Less is seen of what leaks, and more of what does not. */
  OTHER_EYES,
  /** Always two leaks. */
  TWO_LEAKS,
  /** One entry of twenty is an honest mistake. */
  MISTAKES;

  /** Of what shows so much is seen (1). */
  double eyes() {
    return this == OTHER_EYES ? 0.75 : 1;
  }

  /** So many times as often something shows that is nothing (1). */
  double misled() {
    return this == OTHER_EYES ? 2 : 1;
  }

  /** Share of entries that are mistaken (1). */
  double mistaken() {
    return this == MISTAKES ? 0.05 : 0;
  }
}
