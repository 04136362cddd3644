package gotera.web.finding;

import gotera.said.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Writes what was said as the columns of a row, and reads it again: the only place that knows the
 * words in the table. Every type of what can be said has its form here, and a row that no form fits
 * is told as it is, never taken for another.
 */
final class FindingCodec {
  static final List<Form<?>> FORMS =
      Stream.of(
              BenchForms.all(),
              InsideForms.all(),
              GuidedForms.gasCheck(),
              GuidedForms.funnel(),
              GuidedForms.running(),
              FillForms.all())
          .<Form<?>>flatMap(List::stream)
          .toList();

  private FindingCodec() {}

  /** What was said, as a row. */
  static Row write(Said said) {
    return form(said).row(said);
  }

  /** What a row says; one that says nothing known is refused. */
  static Said read(Row row) {
    return form(row).read().apply(row);
  }

  /** The form of a row. */
  static Form<?> form(Row row) {
    return FORMS.stream()
        .filter(f -> f.fits(row))
        .findFirst()
        .orElseThrow(
            () ->
                new Row.Unknown(
                    row.check()
                        + ", \u201c"
                        + row.saw()
                        + "\u201d, \u201c"
                        + row.subject()
                        + "\u201d"));
  }

  /** The form by which something is written. */
  private static Form<?> form(Said said) {
    List<Form<?>> of = new ArrayList<>();
    for (Form<?> form : FORMS) {
      if (form.type().isInstance(said)) {
        of.add(form);
      }
    }
    // kinds of answers share a type: each writes the word of its own check, so any of them will do
    return of.get(0);
  }
}
