package gotera.web.kept;

import jakarta.servlet.http.HttpServletRequest;
import java.util.UUID;

/**
 * What differs from one showing of a page to the next although nothing it shows differs: in a page
 * that is kept, a mark stands in its place.
 */
public enum Mark {
  /** The token against forged forms. */
  TOKEN,
  /** The identifier of an entry, another for each form. */
  ENTRY,
  /** The server's time (ms). */
  NOW;

  private static final String MAKING = Mark.class.getName();

  /** Known to this process alone, so that nobody can write a mark. */
  static final String BEGIN = "mark-" + UUID.randomUUID() + "-";

  static final char END = ';';

  /** As it stands in a page that is kept. */
  public String text() {
    return BEGIN + name() + END;
  }

  /** Whether a page is being made to be kept. */
  public static boolean wanted(HttpServletRequest request) {
    return request.getAttribute(MAKING) != null;
  }

  static void want(HttpServletRequest request, boolean wanted) {
    if (wanted) {
      request.setAttribute(MAKING, true);
    } else {
      request.removeAttribute(MAKING);
    }
  }
}
