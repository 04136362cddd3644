package gotera.web.finding;

import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** A finding in words. */
@Component
public class FindingWords {
  private final Words words;

  FindingWords(Words words) {
    this.words = words;
  }

  /** What was seen and measured, without the name of the check. */
  public String say(Finding f, Figures figures) {
    List<String> parts = new ArrayList<>();
    known(parts, "joint." + f.subject());
    known(parts, "drip-spot." + f.subject());
    parts.add(words.say(f.check() + ".saw." + f.saw()));
    known(parts, "dye-match." + f.subject());
    known(parts, f.check() + ".subject." + f.subject());
    measured(parts, f.measures(), figures);
    f.unmet().stream().sorted().forEach(u -> known(parts, "unmet." + u));
    if (f.photo().isPresent()) {
      parts.add(words.say("history.photoId.set"));
    }
    String source = f.check() + ".source." + f.note();
    if (words.knows(source)) {
      parts.add(words.say(source));
    } else if (!f.note().isEmpty()) {
      parts.add("\u201c" + f.note() + "\u201d");
    }
    return String.join(", ", parts);
  }

  /** With the name of the check. */
  public String withCheck(Finding f, Figures figures) {
    return words.say("check." + f.check()) + ": " + say(f, figures);
  }

  private void known(List<String> parts, String key) {
    if (words.knows(key)) {
      parts.add(words.say(key));
    }
  }

  private void measured(List<String> parts, Measures m, Figures figures) {
    m.millilitres().ifPresent(v -> parts.add(figures.volume(v)));
    m.celsius().ifPresent(t -> parts.add(figures.temperature(t, 0)));
    m.lowerCelsius()
        .ifPresent(t -> parts.add(words.say("measured.lower", figures.temperature(t, 0))));
    say(parts, "minutes", m.minutes());
    say(parts, "size", m.millimetres());
    say(parts, "area", m.get(Measure.SQUARE_CENTIMETRES));
    m.get(Measure.KILOPASCALS).ifPresent(p -> parts.add(figures.pressure(p)));
    say(parts, "count", m.get(Measure.COUNT));
  }

  private void say(List<String> parts, String what, OptionalDouble value) {
    Optional.of(value)
        .filter(OptionalDouble::isPresent)
        .ifPresent(v -> parts.add(words.say("measured." + what, Figures.plain(v.getAsDouble()))));
  }
}
