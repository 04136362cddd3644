package gotera.web.finding;

import static gotera.web.finding.Form.plain;
import static gotera.web.finding.Form.words;

import gotera.bubble.FunnelStep.Size;
import gotera.combustion.GasColour;
import gotera.said.FunnelSaid;
import gotera.said.GasCheckSaid;
import gotera.said.RunningSaid;
import gotera.web.finding.Form.Subject;
import java.util.List;
import java.util.stream.Stream;

/** How the steps of checks that are led are written. */
final class GuidedForms {
  private static final String GAS = "gas-check";
  private static final String FUNNEL = "funnel";
  private static final String RUNNING = "running-look";

  private GuidedForms() {}

  static List<Form<?>> gasCheck() {
    return Stream.of(gasReadings(), gasTester(), gasColours(), gasMoments())
        .<Form<?>>flatMap(List::stream)
        .toList();
  }

  private static List<Form<?>> gasReadings() {
    return List.of(
        new Form<>(
            GasCheckSaid.Level.class,
            GAS,
            List.of("level"),
            Subject.NONE,
            r ->
                new GasCheckSaid.Level(
                    r.need(Measure.MILLIMETRES),
                    r.get(Measure.MILLILITRES),
                    r.get(Measure.CELSIUS)),
            s ->
                new Row(
                    GAS,
                    "",
                    "level",
                    Measures.NONE
                        .and(Measure.MILLIMETRES, s.gap())
                        .and(Measure.MILLILITRES, s.out())
                        .and(Measure.CELSIUS, s.celsius()))));
  }

  private static List<Form<?>> gasTester() {
    return List.of(
        new Form<>(
            GasCheckSaid.SetUp.class,
            GAS,
            List.of("set-up"),
            Subject.of(words(GasCheckSaid.Filler.class)),
            r ->
                new GasCheckSaid.SetUp(
                    r.subject(GasCheckSaid.Filler.class), r.get(Measure.SQUARE_CENTIMETRES)),
            s -> new Row(GAS, s.filler().word(), "set-up", area(s.area()))),
        new Form<>(
            GasCheckSaid.Warmed.class,
            GAS,
            List.of("warmed"),
            Subject.NONE,
            r -> new GasCheckSaid.Warmed(r.need(Measure.CELSIUS)),
            s -> new Row(GAS, "", "warmed", Measures.NONE.and(Measure.CELSIUS, s.celsius()))));
  }

  private static List<Form<?>> gasColours() {
    return List.of(
        new Form<>(
            GasCheckSaid.Filled.class,
            GAS,
            List.of("filled-blue", "filled-not-blue"),
            Subject.NONE,
            r -> new GasCheckSaid.Filled(r.saw().equals("filled-blue")),
            s -> new Row(GAS, "", s.blue() ? "filled-blue" : "filled-not-blue", Measures.NONE)),
        new Form<>(
            GasCheckSaid.ColourRead.class,
            GAS,
            words(GasColour.class),
            Subject.NONE,
            r -> new GasCheckSaid.ColourRead(r.saw(GasColour.class)),
            s -> new Row(GAS, "", s.colour().word(), Measures.NONE)),
        new Form<>(
            GasCheckSaid.Controlled.class,
            GAS,
            List.of("turned", "not-turned"),
            Subject.NONE,
            r -> new GasCheckSaid.Controlled(r.saw().equals("turned")),
            s -> new Row(GAS, "", s.turned() ? "turned" : "not-turned", Measures.NONE)));
  }

  private static List<Form<?>> gasMoments() {
    return List.of(
        plain(GAS, "started", new GasCheckSaid.Started()),
        plain(GAS, "opened", new GasCheckSaid.Opened()),
        plain(GAS, "drawing", new GasCheckSaid.Drawing()),
        plain(GAS, "drawn", new GasCheckSaid.Drawn()),
        plain(GAS, "stalled", new GasCheckSaid.Stalled()),
        plain(GAS, "flooded", new GasCheckSaid.Flooded()),
        plain(GAS, "ended", new GasCheckSaid.Ended()));
  }

  static List<Form<?>> funnel() {
    return Stream.of(funnelReadings(), funnelSeen(), funnelMoments())
        .<Form<?>>flatMap(List::stream)
        .toList();
  }

  private static List<Form<?>> funnelReadings() {
    return List.of(
        new Form<>(
            FunnelSaid.SetUp.class,
            FUNNEL,
            List.of("set-up"),
            Subject.NONE,
            r -> new FunnelSaid.SetUp(r.get(Measure.SQUARE_CENTIMETRES)),
            s -> new Row(FUNNEL, "", "set-up", area(s.area()))),
        new Form<>(
            FunnelSaid.Level.class,
            FUNNEL,
            List.of("level"),
            Subject.NONE,
            r -> new FunnelSaid.Level(r.need(Measure.MILLIMETRES)),
            s ->
                new Row(
                    FUNNEL, "", "level", Measures.NONE.and(Measure.MILLIMETRES, s.millimetres()))),
        new Form<>(
            FunnelSaid.HosesRead.class,
            FUNNEL,
            List.of("hoses"),
            Subject.NONE,
            r -> new FunnelSaid.HosesRead(r.need(Measure.CELSIUS), r.need(Measure.LOWER_CELSIUS)),
            s -> new Row(FUNNEL, "", "hoses", Measures.hoses(s.upper(), s.lower()))));
  }

  private static List<Form<?>> funnelSeen() {
    return List.of(
        new Form<>(
            FunnelSaid.ToppedUp.class,
            FUNNEL,
            words(FunnelSaid.Liquid.class),
            Subject.NONE,
            r ->
                new FunnelSaid.ToppedUp(
                    r.saw(FunnelSaid.Liquid.class), r.need(Measure.MILLILITRES)),
            s ->
                new Row(
                    FUNNEL,
                    "",
                    s.liquid().word(),
                    Measures.NONE.and(Measure.MILLILITRES, s.millilitres()))),
        new Form<>(
            FunnelSaid.Bubbles.class,
            FUNNEL,
            words(Size.class),
            Subject.NONE,
            r -> new FunnelSaid.Bubbles(r.saw(Size.class), (int) r.need(Measure.COUNT)),
            s ->
                new Row(FUNNEL, "", s.size().word(), Measures.NONE.and(Measure.COUNT, s.count()))));
  }

  private static List<Form<?>> funnelMoments() {
    return List.of(
        plain(FUNNEL, "moved", new FunnelSaid.Moved()),
        plain(FUNNEL, "squeezed", new FunnelSaid.Squeezed()),
        plain(FUNNEL, "burst", new FunnelSaid.Burst()),
        plain(FUNNEL, "ended", new FunnelSaid.Ended()));
  }

  static List<Form<?>> running() {
    return List.of(
        plain(RUNNING, "started", new RunningSaid.Started()),
        new Form<>(
            RunningSaid.FirstDrop.class,
            RUNNING,
            List.of("dripped"),
            Subject.JOINT,
            r -> new RunningSaid.FirstDrop(r.named(), r.need(Measure.MINUTES)),
            s ->
                new Row(
                    RUNNING,
                    s.joint(),
                    "dripped",
                    Measures.NONE.and(Measure.MINUTES, s.minutes()))),
        new Form<>(
            RunningSaid.StayedDry.class,
            RUNNING,
            List.of("ended"),
            Subject.ANYWHERE,
            r ->
                new RunningSaid.StayedDry(
                    r.subject(), r.need(Measure.MINUTES), r.get(Measure.CELSIUS)),
            s ->
                new Row(
                    RUNNING,
                    s.joint(),
                    "ended",
                    Measures.NONE
                        .and(Measure.MINUTES, s.minutes())
                        .and(Measure.CELSIUS, s.celsius()))));
  }

  private static Measures area(java.util.OptionalDouble squareCentimetres) {
    return Measures.NONE.and(Measure.SQUARE_CENTIMETRES, squareCentimetres);
  }
}
