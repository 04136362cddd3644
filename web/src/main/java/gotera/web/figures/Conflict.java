package gotera.web.figures;

import gotera.web.words.Words;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Two versions of one form, where they differ: what was typed here and what someone else saved
 * meanwhile.
 *
 * @param differences the fields that differ
 */
public record Conflict(List<Difference> differences) {
  /**
   * A field that differs.
   *
   * @param label its label
   * @param yours what was typed
   * @param theirs what was saved
   */
  public record Difference(String label, String yours, String theirs) {}

  /**
   * Compares two forms, component by component. Labels are the words {@code label.COMPONENT}.
   *
   * @param choices components that are codes, with the beginning of the keys of their words
   */
  public static Conflict between(
      Record yours, Record theirs, Map<String, String> choices, Words words) {
    List<Difference> differences = new ArrayList<>();
    for (RecordComponent component : yours.getClass().getRecordComponents()) {
      String name = component.getName();
      String mine = value(component, yours);
      String other = value(component, theirs);
      if (!mine.equals(other) && words.knows("label." + name)) {
        differences.add(
            new Difference(
                words.say("label." + name),
                shown(mine, choices.get(name), words),
                shown(other, choices.get(name), words)));
      }
    }
    return new Conflict(differences);
  }

  private static String shown(
      String value, @org.jspecify.annotations.Nullable String prefix, Words words) {
    if (value.isEmpty()) {
      return "\u2013";
    }
    return prefix != null && words.knows(prefix + value) ? words.say(prefix + value) : value;
  }

  private static String value(RecordComponent component, Record of) {
    try {
      component.getAccessor().setAccessible(true);
      return String.valueOf(component.getAccessor().invoke(of));
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("a record's component can be read: " + component, e);
    }
  }
}
