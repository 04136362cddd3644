package gotera.web.finding;

import static gotera.web.finding.Form.plain;
import static gotera.web.finding.Form.words;

import gotera.circuit.DripSpot;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.repair.CraftCheck;
import gotera.said.CircuitSaid;
import gotera.said.CraftSaid;
import gotera.said.DyeSaid;
import gotera.said.OpeningSaid;
import gotera.said.RoadSaid;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Observation.Dripped;
import gotera.web.finding.Form.Subject;
import java.util.List;
import java.util.stream.Stream;

/** How what was said at the car is written: opening, circuit, dye, craft, road. */
final class BenchForms {
  private static final String SAFE = "safe";
  private static final String DYE = "dye";

  private BenchForms() {}

  static List<Form<?>> all() {
    return Stream.of(opening(), circuit(), pressures(), dye(), dyeDone(), hands())
        .<Form<?>>flatMap(List::stream)
        .toList();
  }

  private static List<Form<?>> opening() {
    return List.of(
        new Form<>(
            OpeningSaid.Squeezed.class,
            SAFE,
            List.of("soft", "hard"),
            Subject.NONE,
            r -> new OpeningSaid.Squeezed(r.saw().equals("soft")),
            s -> new Row(SAFE, "", s.soft() ? "soft" : "hard", Measures.NONE)),
        plain(SAFE, "vented", new OpeningSaid.Vented()),
        plain(SAFE, "ran", new OpeningSaid.EngineRan()),
        plain(SAFE, "qualified", new OpeningSaid.Qualified()),
        new Form<>(
            OpeningSaid.TemperatureRead.class,
            SAFE,
            List.of("temperature"),
            Subject.NONE,
            r ->
                new OpeningSaid.TemperatureRead(
                    r.need(Measure.CELSIUS), r.get(Measure.AMBIENT_CELSIUS)),
            s ->
                new Row(
                    SAFE,
                    "",
                    "temperature",
                    Measures.NONE
                        .and(Measure.CELSIUS, s.celsius())
                        .and(Measure.AMBIENT_CELSIUS, s.room()))));
  }

  private static List<Form<?>> circuit() {
    return List.of(
        new Form<>(
            CircuitSaid.Dripping.class,
            "drip",
            words(LookState.class),
            Subject.SPOT,
            r ->
                new CircuitSaid.Dripping(
                    new Dripped(r.subject(DripSpot.class), r.saw(LookState.class))),
            s -> new Row("drip", s.where().spot().word(), s.where().state().word(), Measures.NONE)),
        new Form<>(
            CircuitSaid.InCondition.class,
            "condition",
            words(Condition.class),
            Subject.JOINT,
            r -> new CircuitSaid.InCondition(new Felt(r.named(), r.saw(Condition.class))),
            s -> new Row("condition", s.felt().place(), s.felt().saw().word(), Measures.NONE)));
  }

  private static List<Form<?>> pressures() {
    return List.of(
        new Form<>(
            CircuitSaid.DripsAt.class,
            "drip-pressure",
            words(CircuitSaid.Drips.class),
            Subject.JOINT,
            r ->
                new CircuitSaid.DripsAt(
                    r.named(), r.saw(CircuitSaid.Drips.class), r.need(Measure.KILOPASCALS)),
            s ->
                new Row(
                    "drip-pressure",
                    s.place(),
                    s.what().word(),
                    Measures.NONE.and(Measure.KILOPASCALS, s.kilopascals()))),
        new Form<>(
            CircuitSaid.HeaterValve.class,
            "reach",
            List.of("heater-shut", "heater-open"),
            Subject.NONE,
            r -> new CircuitSaid.HeaterValve(r.saw().equals("heater-shut")),
            s -> new Row("reach", "", s.shut() ? "heater-shut" : "heater-open", Measures.NONE)));
  }

  private static List<Form<?>> dye() {
    return List.of(
        new Form<>(
            DyeSaid.Dosed.class,
            DYE,
            List.of("dosed"),
            Subject.of(words(DyeSaid.Match.class)),
            r -> new DyeSaid.Dosed(r.subject(DyeSaid.Match.class), r.get(Measure.MILLILITRES)),
            s -> new Row(DYE, s.match().word(), "dosed", Measures.volume(s.millilitres()))),
        new Form<>(
            DyeSaid.Scanned.class,
            DYE,
            List.of("glow", "dark"),
            Subject.JOINT,
            r -> new DyeSaid.Scanned(r.named(), r.saw().equals("glow"), r.get(Measure.MILLIMETRES)),
            s ->
                new Row(
                    DYE, s.joint(), s.glows() ? "glow" : "dark", Measures.size(s.millimetres()))));
  }

  private static List<Form<?>> dyeDone() {
    return List.of(
        plain(DYE, "scanned-before", new DyeSaid.ScannedBefore()),
        plain(DYE, "round", new DyeSaid.RoundBegun()),
        new Form<>(
            DyeSaid.Ran.class,
            DYE,
            List.of("ran"),
            Subject.NONE,
            r ->
                new DyeSaid.Ran(
                    r.need(Measure.MINUTES), r.gates().thermostat(), r.gates().heater()),
            s ->
                new Row(
                    DYE,
                    "",
                    "ran",
                    Measures.run(
                        s.minutes(), new Measures.Gates(s.thermostatOpen(), s.heaterOpen())))));
  }

  private static List<Form<?>> hands() {
    return List.of(
        new Form<>(
            CraftSaid.Made.class,
            "craft",
            words(CraftCheck.class),
            Subject.JOINT,
            r -> new CraftSaid.Made(r.named(), r.saw(CraftCheck.class)),
            s -> new Row("craft", s.joint(), s.check().word(), Measures.NONE)),
        new Form<>(
            CraftSaid.Compared.class,
            "new-part",
            List.of("fits", "does-not-fit"),
            Subject.JOINT,
            r -> new CraftSaid.Compared(r.named(), r.saw().equals("fits")),
            s -> new Row("new-part", s.joint(), s.fits() ? "fits" : "does-not-fit", Measures.NONE)),
        new Form<>(
            RoadSaid.Driven.class,
            "road-test",
            words(RoadSaid.RoadTest.class),
            Subject.NONE,
            r -> new RoadSaid.Driven(r.saw(RoadSaid.RoadTest.class)),
            s -> new Row("road-test", "", s.showed().word(), Measures.NONE)));
  }
}
