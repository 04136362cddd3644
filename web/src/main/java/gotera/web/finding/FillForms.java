package gotera.web.finding;

import static gotera.web.finding.Form.words;

import gotera.coolant.Chemistry;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.refill.FillEntryKind;
import gotera.refill.FillSteps.Does;
import gotera.refill.FillSteps.School;
import gotera.said.FillSaid;
import gotera.said.RefillSaid;
import gotera.said.RefillSaid.Source;
import gotera.web.finding.Form.Subject;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** How what was filled, drained and decided at a refill is written. */
final class FillForms {
  private static final String FILL = "fill";
  private static final String CHEMISTRY = "chemistry";

  private FillForms() {}

  static List<Form<?>> all() {
    return Stream.of(account(), strength(), mix(), filling())
        .<Form<?>>flatMap(List::stream)
        .toList();
  }

  private static List<Form<?>> account() {
    return List.of(
        new Form<>(
            FillSaid.Booked.class,
            FILL,
            words(FillEntryKind.class),
            Subject.NONE,
            r ->
                new FillSaid.Booked(
                    r.saw(FillEntryKind.class),
                    r.need(Measure.MILLILITRES),
                    r.get(Measure.STRENGTH).orElse(0)),
            s ->
                new Row(
                    FILL, "", s.kind().word(), Measures.mixture(s.millilitres(), s.strength()))),
        new Form<>(
            FillSaid.Drained.class,
            FILL,
            List.of(FillEntryKind.DRAINED.word(), FillEntryKind.DRAINED_CLEAN.word()),
            Subject.JOINT,
            r ->
                new FillSaid.Drained(
                    r.named(),
                    r.need(Measure.MILLILITRES),
                    r.saw(FillEntryKind.class) == FillEntryKind.DRAINED_CLEAN),
            s -> new Row(FILL, s.at(), s.kind().word(), Measures.mixture(s.millilitres(), 0))));
  }

  private static List<Form<?>> strength() {
    return List.of(
        new Form<>(
            FillSaid.StrengthRead.class,
            "strength",
            List.of("refractometer"),
            Subject.of(words(Glycol.class)),
            r ->
                new FillSaid.StrengthRead(
                    r.subject(Glycol.class), r.need(Measure.CELSIUS), r.need(Measure.STRENGTH)),
            s ->
                new Row(
                    "strength",
                    s.glycol().word(),
                    "refractometer",
                    Measures.freezing(s.celsius(), s.strength()))));
  }

  private static List<Form<?>> mix() {
    return List.of(
        new Form<>(
            RefillSaid.CoolantIn.class,
            CHEMISTRY,
            words(Chemistry.class),
            Subject.of(List.of("in")),
            r -> new RefillSaid.CoolantIn(r.saw(Chemistry.class), source(r)),
            s ->
                new Row(
                    CHEMISTRY,
                    "in",
                    s.chemistry().word(),
                    Measures.NONE,
                    Set.of(),
                    s.source().map(Source::word).orElse(""))),
        new Form<>(
            RefillSaid.CoolantPoured.class,
            CHEMISTRY,
            words(Chemistry.class),
            Subject.of(List.of("poured")),
            r -> new RefillSaid.CoolantPoured(r.saw(Chemistry.class)),
            s -> new Row(CHEMISTRY, "poured", s.chemistry().word(), Measures.NONE)),
        new Form<>(
            RefillSaid.MixWanted.class,
            "mix",
            List.of("wanted"),
            Subject.of(words(Glycol.class)),
            r ->
                new RefillSaid.MixWanted(
                    r.subject(Glycol.class), r.need(Measure.STRENGTH), r.need(Measure.MILLILITRES)),
            s ->
                new Row(
                    "mix", s.glycol().word(), "wanted", Measures.mixture(s.jug(), s.strength()))));
  }

  private static List<Form<?>> filling() {
    return List.of(
        new Form<>(
            RefillSaid.SchoolChosen.class,
            "fill-school",
            words(School.class),
            Subject.NONE,
            r -> new RefillSaid.SchoolChosen(r.saw(School.class)),
            s -> new Row("fill-school", "", s.school().word(), Measures.NONE)),
        new Form<>(
            RefillSaid.AirFirst.class,
            "air-first",
            List.of("yes", "no"),
            Subject.NONE,
            r -> new RefillSaid.AirFirst(r.saw().equals("yes")),
            s -> new Row("air-first", "", s.first() ? "yes" : "no", Measures.NONE)),
        new Form<>(
            RefillSaid.StepDone.class,
            "fill-step",
            words(Does.class),
            Subject.ANYWHERE,
            r -> new RefillSaid.StepDone(r.saw(Does.class), r.subject()),
            s -> new Row("fill-step", s.at(), s.does().word(), Measures.NONE)),
        new Form<>(
            RefillSaid.Purged.class,
            "purge",
            words(RefillSaid.PurgeSign.class),
            Subject.NONE,
            r -> new RefillSaid.Purged(r.saw(RefillSaid.PurgeSign.class)),
            s -> new Row("purge", "", s.sign().word(), Measures.NONE)));
  }

  private static Optional<Source> source(Row row) {
    return row.source().isEmpty()
        ? Optional.empty()
        : Optional.of(Row.word(Source.class, row.source()));
  }
}
