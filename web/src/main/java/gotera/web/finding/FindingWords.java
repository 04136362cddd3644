package gotera.web.finding;

import gotera.said.RefillSaid.CoolantIn;
import gotera.said.Said;
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

  /** What was seen or done, without place and figures. */
  public String saw(Said said) {
    Row row = FindingCodec.write(said);
    return words.say(row.check() + ".saw." + row.saw());
  }

  /** The name of the check that something belongs to. */
  public String check(Said said) {
    return words.say("check." + FindingCodec.write(said).check());
  }

  /** What it is about, where that is a cylinder or a fluid; else the name of the check. */
  public String about(Said said) {
    Row row = FindingCodec.write(said);
    return switch (FindingCodec.form(row).subject().about()) {
      case CYLINDER -> words.say("inside." + row.check(), row.subject());
      case FLUID -> words.say("fluid." + row.subject());
      case NOTHING, JOINT, ANYWHERE, SPOT, WORD -> words.say("check." + row.check());
    };
  }

  /** What was seen and measured, without the name of the check. */
  public String say(Finding<?> f, Figures figures) {
    Row row = FindingCodec.write(f.said());
    List<String> parts = new ArrayList<>();
    Form.About about = FindingCodec.form(row).subject().about();
    switch (about) {
      case JOINT, ANYWHERE -> joint(parts, row.subject());
      case SPOT -> parts.add(words.say("drip-spot." + row.subject()));
      case NOTHING, CYLINDER, FLUID, WORD -> {}
    }
    parts.add(saw(f.said()));
    if (about == Form.About.WORD) {
      parts.add(words.say(row.check() + ".subject." + row.subject()));
    }
    measured(parts, row.measures(), figures);
    row.unmet().stream().sorted().forEach(u -> parts.add(words.say("unmet." + u)));
    if (f.photo().isPresent()) {
      parts.add(words.say("history.photoId.set"));
    }
    if (f.said() instanceof CoolantIn in) {
      in.source().ifPresent(s -> parts.add(words.say("chemistry.source." + s.word())));
    }
    if (!f.note().isEmpty()) {
      parts.add("\u201c" + f.note() + "\u201d");
    }
    return String.join(", ", parts);
  }

  /** With the name of the check. */
  public String withCheck(Finding<?> f, Figures figures) {
    return check(f.said()) + ": " + say(f, figures);
  }

  /** A line that nobody can read. */
  public String say(Unread line) {
    return words.say("finding.unread", line.words());
  }

  /** A joint that the shop added has no words of its own here. */
  private void joint(List<String> parts, String code) {
    String key = "joint." + code;
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
