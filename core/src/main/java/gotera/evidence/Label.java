package gotera.evidence;

/**
 * What a finding or a check is called.
 *
 * @param kind what was seen, told or done
 * @param at the place or spot it is about; empty for the whole vehicle
 * @param state the state of the vehicle meanwhile; empty where none is meant
 */
public record Label(String kind, String at, String state) {
  /** One of a place, in no particular state. */
  public Label(String kind, String at) {
    this(kind, at, "");
  }

  /** One about the whole vehicle. */
  public static Label of(String kind) {
    return new Label(kind, "");
  }

  /** As files and tests write it. */
  @Override
  public String toString() {
    return at.isEmpty() ? kind : kind + ":" + at;
  }
}
