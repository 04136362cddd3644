package gotera.web.pressure;

import gotera.word.Worded;
import gotera.work.Step;

/** What a pressure test is for in the course of a job. */
public enum Phase implements Worded {
  /** Before the repair. */
  SEARCH(Step.PRESSURE_TEST),
  /** After it. */
  RE_TEST(Step.RE_TEST);

  private final Step step;

  Phase(Step step) {
    this.step = step;
  }

  /** The step whose page shows it. */
  public Step step() {
    return step;
  }

  /** The phase of such a word; the database holds no other. */
  public static Phase of(String word) {
    return Worded.of(Phase.class, word)
        .orElseThrow(() -> new IllegalArgumentException("no phase " + word));
  }
}
