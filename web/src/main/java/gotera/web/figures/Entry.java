package gotera.web.figures;

import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Text from a form's field. */
public final class Entry {
  /** Longest text that a form takes over from another; each of its members may take less. */
  private static final int LONGEST = 200;

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

  /**
   * A form with what was typed over what stands in it; what was left empty stays as it stands.
   *
   * @param form a record of texts
   * @param typed by the names of its members; others are left out
   */
  public static <F extends Record> F over(F form, Map<String, String> typed) {
    try {
      RecordComponent[] members = form.getClass().getRecordComponents();
      Class<?>[] types = new Class<?>[members.length];
      Object[] values = new Object[members.length];
      for (int i = 0; i < members.length; i++) {
        types[i] = members[i].getType();
        members[i].getAccessor().setAccessible(true);
        String said = text(typed.get(members[i].getName()), LONGEST);
        values[i] = said.isEmpty() ? members[i].getAccessor().invoke(form) : said;
      }
      Constructor<?> whole = form.getClass().getDeclaredConstructor(types);
      whole.setAccessible(true);
      @SuppressWarnings("unchecked")
      F over = (F) whole.newInstance(values);
      return over;
    } catch (ReflectiveOperationException e) {
      throw new IllegalArgumentException("not a form of texts: " + form.getClass(), e);
    }
  }

  /** What was chosen among some words; the first of them where it is none. */
  public static String choice(@Nullable String chosen, List<String> words) {
    return chosen != null && words.contains(chosen) ? chosen : words.get(0);
  }
}
