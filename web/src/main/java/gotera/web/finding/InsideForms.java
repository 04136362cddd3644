package gotera.web.finding;

import static gotera.web.finding.Form.plain;
import static gotera.web.finding.Form.words;

import gotera.bubble.BubbleCondition;
import gotera.combustion.GasColour;
import gotera.combustion.NotCounted;
import gotera.said.Answer;
import gotera.said.InsideSaid;
import gotera.said.InsideSaid.Noted;
import gotera.suspects.Checked;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hiss;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.web.finding.Form.Subject;
import gotera.word.Worded;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How what was found inside is written. */
final class InsideForms {
  private static final String CYLINDER = "cylinder";

  /** The check of each kind of answer. */
  private static final Map<Class<? extends Answer>, String> ANSWERS =
      Map.of(
          Answer.Exhaust.class, "exhaust",
          Answer.HardHoses.class, "hard-hoses",
          Answer.CabinHeat.class, "cabin-heat",
          Answer.FanClutch.class, "fan-clutch",
          Answer.CylindersLeft.class, "cylinders-left");

  private InsideForms() {}

  static List<Form<?>> all() {
    return Stream.of(gas(), engine(), hoses(), answers()).<Form<?>>flatMap(List::stream).toList();
  }

  private static List<Form<?>> gas() {
    return List.of(
        new Form<>(
            InsideSaid.GasResult.class,
            "gas",
            words(GasColour.class),
            Subject.NONE,
            r -> new InsideSaid.GasResult(r.saw(GasColour.class), unmet(NotCounted.class, r)),
            s -> new Row("gas", "", s.colour().word(), Measures.NONE, all(s.unmet()))),
        new Form<>(
            InsideSaid.BubblesResult.class,
            "bubbles",
            words(Bubbles.class),
            Subject.NONE,
            r ->
                new InsideSaid.BubblesResult(r.saw(Bubbles.class), unmet(BubbleCondition.class, r)),
            s -> new Row("bubbles", "", s.bubbles().word(), Measures.NONE, all(s.unmet()))),
        plain("fluid-colour", "measured", new InsideSaid.ColourMeasured()));
  }

  private static List<Form<?>> engine() {
    return List.of(
        new Form<>(
            InsideSaid.CylinderSeen.class,
            CYLINDER,
            List.of("wet", "dry", "pooled"),
            Subject.CYLINDER,
            InsideForms::cylinder,
            s ->
                new Row(
                    CYLINDER,
                    Integer.toString(s.seen().number()),
                    s.seen().pooled() ? "pooled" : s.seen().wet() ? "wet" : "dry",
                    Measures.drawnOff(s.seen().caught(), s.seen().minutes())
                        .and(Measure.MILLIMETRES, s.depth()))),
        new Form<>(
            InsideSaid.PlugSeen.class,
            "plug",
            words(InsideSaid.PlugLook.class),
            Subject.CYLINDER,
            r -> new InsideSaid.PlugSeen(r.numbered(), r.saw(InsideSaid.PlugLook.class)),
            s -> new Row("plug", Integer.toString(s.cylinder()), s.look().word(), Measures.NONE)),
        new Form<>(
            InsideSaid.FluidFound.class,
            "fluid",
            words(Checked.Look.class),
            Subject.FLUID,
            r ->
                new InsideSaid.FluidFound(
                    new FluidSeen(r.subject(Fluid.class), r.saw(Checked.Look.class))),
            s -> new Row("fluid", s.seen().at().word(), s.seen().saw().word(), Measures.NONE)));
  }

  private static List<Form<?>> hoses() {
    return List.of(
        new Form<>(
            InsideSaid.HosesRead.class,
            "hoses",
            List.of("taken"),
            Subject.NONE,
            r ->
                new InsideSaid.HosesRead(
                    new TwoTemperatures(
                        r.need(Measure.CELSIUS),
                        r.need(Measure.LOWER_CELSIUS),
                        r.need(Measure.MINUTES))),
            s ->
                new Row(
                    "hoses",
                    "",
                    "taken",
                    Measures.hoses(s.taken().upper(), s.taken().lower())
                        .and(Measure.MINUTES, s.taken().idling()))),
        new Form<>(
            InsideSaid.Heard.class,
            "hiss",
            words(Hiss.class),
            Subject.NONE,
            r -> new InsideSaid.Heard(new Hissed(r.saw(Hiss.class), r.get(Measure.CELSIUS))),
            s ->
                new Row(
                    "hiss",
                    "",
                    s.hiss().saw().word(),
                    Measures.NONE.and(Measure.CELSIUS, s.hiss().coolant()))));
  }

  private static List<Form<?>> answers() {
    return List.of(
        noted(Answer.Exhaust.class),
        noted(Answer.HardHoses.class),
        noted(Answer.CabinHeat.class),
        noted(Answer.FanClutch.class),
        noted(Answer.CylindersLeft.class));
  }

  /** Every kind of answer is a check of its own. */
  private static <E extends Enum<E> & Answer> Form<Noted> noted(Class<E> answers) {
    return new Form<>(
        Noted.class,
        check(answers),
        words(answers),
        Subject.NONE,
        r -> new Noted(r.saw(answers)),
        s -> new Row(check(s.answer().getClass()), "", s.answer().word(), Measures.NONE));
  }

  /** The word of the check that a kind of answer belongs to. */
  static String check(Class<? extends Answer> answers) {
    return java.util.Objects.requireNonNull(ANSWERS.get(answers));
  }

  private static InsideSaid.CylinderSeen cylinder(Row r) {
    return new InsideSaid.CylinderSeen(
        new InCylinder(
            r.numbered(),
            !r.saw().equals("dry"),
            r.get(Measure.MILLILITRES),
            r.get(Measure.MINUTES),
            r.saw().equals("pooled")),
        r.get(Measure.MILLIMETRES));
  }

  private static <E extends Enum<E> & Worded> Set<E> unmet(Class<E> choice, Row row) {
    return row.unmet().stream().map(u -> Row.word(choice, u)).collect(Collectors.toSet());
  }

  private static Set<String> all(Collection<? extends Worded> unmet) {
    return unmet.stream().map(Worded::word).collect(Collectors.toSet());
  }
}
