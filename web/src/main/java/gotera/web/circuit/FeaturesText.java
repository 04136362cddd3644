package gotera.web.circuit;

import gotera.circuit.CircuitPresets;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import gotera.range.Range;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Features as stored: drive, fill, engine, orientation, how many cylinders where somebody counted
 * them, and the extras; words with blanks between.
 */
final class FeaturesText {
  /** Before the number of cylinders. */
  private static final String CYLINDERS = "cylinders-";

  private FeaturesText() {}

  static String of(Features f) {
    List<String> words = new ArrayList<>();
    words.add(f.drive().word());
    words.add(f.fill().word());
    words.add(f.engine().word());
    words.add(f.orientation().word());
    f.cylinders().ifPresent(n -> words.add(CYLINDERS + n));
    // in the order they are declared, so that the same features are the same text
    for (Extra extra : Extra.values()) {
      if (f.has(extra)) {
        words.add(extra.word());
      }
    }
    return String.join(" ", words);
  }

  static Features read(String text) {
    List<String> words = List.of(text.split(" ", -1));
    if (words.size() < 4) {
      return CircuitPresets.USUAL;
    }
    Set<Extra> extras = EnumSet.noneOf(Extra.class);
    words.stream().skip(4).forEach(w -> Worded.of(Extra.class, w).ifPresent(extras::add));
    return new Features(
        Worded.of(Drive.class, words.get(0)).orElse(CircuitPresets.USUAL.drive()),
        Worded.of(Fill.class, words.get(1)).orElse(CircuitPresets.USUAL.fill()),
        Worded.of(Engine.class, words.get(2)).orElse(CircuitPresets.USUAL.engine()),
        Worded.of(Orientation.class, words.get(3)).orElse(CircuitPresets.USUAL.orientation()),
        cylinders(words),
        extras);
  }

  private static OptionalInt cylinders(List<String> words) {
    return words.stream()
        .filter(w -> w.startsWith(CYLINDERS))
        .findFirst()
        .map(w -> cylinders(w.substring(CYLINDERS.length())))
        .orElse(OptionalInt.empty());
  }

  /** How many cylinders; a number that no engine has is none. */
  static OptionalInt cylinders(String text) {
    int count = text.matches("\\d{1,2}") ? Integer.parseInt(text) : 0;
    return Range.CYLINDER.holds(count) ? OptionalInt.of(count) : OptionalInt.empty();
  }
}
