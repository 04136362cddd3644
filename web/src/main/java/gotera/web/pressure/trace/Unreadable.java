package gotera.web.pressure.trace;

/** What was stored cannot be read. */
public final class Unreadable extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Unreadable(String what) {
    super(what);
  }
}
