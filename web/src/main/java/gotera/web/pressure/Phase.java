package gotera.web.pressure;

import gotera.web.job.Step;

/** What a pressure test is for in the course of a job. */
public enum Phase {
  /** Before the repair. */
  SEARCH("search", Step.PRESSURE_TEST),
  /** After it. */
  RE_TEST("re-test", Step.RE_TEST);

  private final String word;
  private final Step step;

  Phase(String word, Step step) {
    this.word = word;
    this.step = step;
  }

  /** The word for it in the database. */
  public String word() {
    return word;
  }

  /** The step whose page shows it. */
  public Step step() {
    return step;
  }

  /** The phase of such a word. */
  public static Phase of(String word) {
    return word.equals(RE_TEST.word) ? RE_TEST : SEARCH;
  }
}
