package gotera.web.retest;

import java.util.List;

/**
 * What a page shows of the proof.
 *
 * @param proven whether it is proven
 * @param failed whether it showed again
 * @param statement what is proven, or what is missing, as a sentence
 * @param lines one for each circumstance in which it showed
 * @param roads road tests that were written down
 */
public record ProofPage(
    boolean proven, boolean failed, String statement, List<ProofLine> lines, List<Road> roads) {
  /**
   * A circumstance.
   *
   * @param when in words
   * @param by what covers it, or empty
   * @param todo what is to be done, or empty
   * @param address where that is done
   */
  public record ProofLine(String when, String by, String todo, String address) {}

  /** A road test, and the finding that says so. */
  public record Road(String id, String text) {}
}
