package gotera.web.figures;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Text from a form's field. */
public final class Entry {
  private Entry() {}

  /** What was typed, without blanks around it; empty where nothing was, cut to what is stored. */
  public static String text(@Nullable String typed, int longest) {
    if (typed == null) {
      return "";
    }
    String stripped = typed.strip();
    return stripped.length() > longest ? stripped.substring(0, longest) : stripped;
  }

  /** A page of our own to go back to: a path that starts with exactly one slash; else the front. */
  public static String ownPath(@Nullable String typed) {
    String path = text(typed, 200);
    return path.matches("/[A-Za-z0-9\\-/]*") && !path.startsWith("//") ? path : "/";
  }

  /** What was chosen among some words; the first of them where it is none. */
  public static String choice(@Nullable String chosen, List<String> words) {
    return chosen != null && words.contains(chosen) ? chosen : words.get(0);
  }
}
