package gotera.pressure.verdict;

/** The classes of verdict on a pressure test. */
public enum VerdictKind {
  /** Released because the place was seen: a finding, no rate. */
  STOPPED("stopped"),
  /** The rated pressure cannot be reached or kept. */
  GROSS("gross"),
  /** A condition of the test failed. */
  NOT_COUNTED("not-counted"),
  /** Coolant leaves. */
  LEAK("leak"),
  /** The computed rate is zero within its uncertainty, and the bound suffices. */
  TIGHT("tight"),
  /** Neither a leak nor tight is shown. */
  NOT_PROVEN("not-proven");

  private final String word;

  VerdictKind(String word) {
    this.word = word;
  }

  /** The word for it in files, styles and messages. */
  public String word() {
    return word;
  }
}
