package gotera.web.pressure;

import gotera.formats.HoldDescription.DrawMember;
import gotera.quantity.GaugePressure;
import gotera.quantity.Typed;
import gotera.quantity.Volume;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.util.Optional;

/**
 * Draws as typed: one that measures what air and hoses give, and a small one that closes a
 * sign-off.
 *
 * @param volume volume of the measuring draw
 * @param before gauge before it
 * @param after gauge after it
 * @param closingVolume volume of the closing draw
 * @param closingBefore gauge before it
 * @param closingAfter gauge after it
 * @param version version of the test that was read
 */
record DrawForm(
    String volume,
    String before,
    String after,
    String closingVolume,
    String closingBefore,
    String closingAfter,
    String version) {
  /** Everything absent is empty. */
  DrawForm {
    volume = Entry.text(volume, 40);
    before = Entry.text(before, 40);
    after = Entry.text(after, 40);
    closingVolume = Entry.text(closingVolume, 40);
    closingBefore = Entry.text(closingBefore, 40);
    closingAfter = Entry.text(closingAfter, 40);
    version = Entry.text(version, 10);
  }

  static DrawForm of(PressureTestView test, Figures figures) {
    Optional<DrawMember> m = test.hold().compliance().draws().stream().findFirst();
    Optional<DrawMember> c = test.hold().closingDraw();
    return new DrawForm(
        m.map(d -> Figures.plain(d.ml()) + " mL").orElse(""),
        m.map(d -> figures.pressure(d.beforeKpa())).orElse(""),
        m.map(d -> figures.pressure(d.afterKpa())).orElse(""),
        c.map(d -> Figures.plain(d.ml()) + " mL").orElse(""),
        c.map(d -> figures.pressure(d.beforeKpa())).orElse(""),
        c.map(d -> figures.pressure(d.afterKpa())).orElse(""),
        Integer.toString(test.version()));
  }

  DrawForm withVersion(int newer) {
    return new DrawForm(
        volume, before, after, closingVolume, closingBefore, closingAfter, Integer.toString(newer));
  }

  int versionRead() {
    return version.matches("\\d{1,9}") ? Integer.parseInt(version) : -1;
  }

  Optional<DrawMember> measuring(FieldProblems problems, Figures figures) {
    return draw(problems, figures, "volume", volume, "before", before, "after", after);
  }

  Optional<DrawMember> closing(FieldProblems problems, Figures figures) {
    return draw(
        problems,
        figures,
        "closingVolume",
        closingVolume,
        "closingBefore",
        closingBefore,
        "closingAfter",
        closingAfter);
  }

  private static Optional<DrawMember> draw(
      FieldProblems problems,
      Figures figures,
      String volumeField,
      String typedVolume,
      String beforeField,
      String typedBefore,
      String afterField,
      String typedAfter) {
    if (typedVolume.isEmpty() && typedBefore.isEmpty() && typedAfter.isEmpty()) {
      return Optional.empty();
    }
    Optional<Volume> ml = problems.take(volumeField, typedVolume, Typed.volume(typedVolume, 1));
    Optional<GaugePressure> before =
        problems.take(beforeField, typedBefore, Typed.pressure(typedBefore, figures.unit()));
    Optional<GaugePressure> after =
        problems.take(afterField, typedAfter, Typed.pressure(typedAfter, figures.unit()));
    if (ml.isEmpty() || before.isEmpty() || after.isEmpty()) {
      return Optional.empty();
    }
    if (!(ml.get().millilitres() > 0) || ml.get().millilitres() > 2000) {
      problems.add(volumeField, "problem.range", typedVolume, "0.1", "2000 mL");
    }
    if (after.get().compareTo(before.get()) >= 0) {
      problems.add(afterField, "problem.draw-after", typedAfter, typedBefore);
    }
    return problems.none()
        ? Optional.of(
            new DrawMember(
                ml.get().millilitres(), before.get().kilopascals(), after.get().kilopascals()))
        : Optional.empty();
  }
}
