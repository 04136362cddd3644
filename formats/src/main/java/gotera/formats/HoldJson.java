package gotera.formats;

import gotera.pressure.HoldConditions.EarlierHold;
import gotera.pressure.HoldConditions.Window;
import gotera.pressure.compliance.Draw;
import gotera.pressure.compliance.Strokes;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.Compliance;
import gotera.pressure.setup.HoldSetup.CountedStrokes;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.Usual;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.GaugePressure;
import gotera.range.Range;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes hold descriptions. An unknown member is refused with the nearest known one. */
public final class HoldJson {
  /** The format's name and version. */
  static final String FORMAT = "gotera-hold/1";

  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private HoldJson() {}

  /** Reads a description. */
  public static ReadOutcome<HoldSetup> read(String json) {
    Problems problems = new Problems();
    Optional<JsonMembers> root = JsonMembers.of(json, problems);
    if (root.isEmpty()) {
      return problems.rejected();
    }
    JsonMembers m = root.get();
    Optional<HoldSetup> setup = setup(m, problems);
    m.refuseUnknown();
    return setup.isPresent() && problems.isEmpty()
        ? new ReadOutcome.Accepted<>(setup.get())
        : problems.rejected();
  }

  private static Optional<HoldSetup> setup(JsonMembers m, Problems problems) {
    m.word("format", List.of(FORMAT));
    Medium medium =
        m.word("medium", Stream.of(Medium.values()).map(Medium::word).toList())
            .flatMap(w -> Worded.of(Medium.class, w))
            .orElse(Medium.LIQUID);
    m.onlyYet("glycol", "ethylene");
    Optional<HoldSetup.Limits> limits = limits(m);
    OptionalDouble liquid =
        m.required("liquid_ml", medium == Medium.LIQUID ? Range.LIQUID : Range.AIR);
    OptionalDouble strength = m.number("strength", Range.STRENGTH);
    HoldSetup.Surroundings surroundings =
        new HoldSetup.Surroundings(
            m.number("atmosphere_kpa", Range.ATMOSPHERE),
            m.number("ambient_c", Range.ROOM),
            soak(m));
    Optional<Compliance> compliance = compliance(m.object("compliance"), problems);
    HoldSetup.Instruments instruments = instruments(m);
    HoldSetup.Course course = course(m);
    if (limits.isEmpty() || liquid.isEmpty() || compliance.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new HoldSetup(
            limits.get(),
            surroundings,
            new HoldSetup.Filling(liquid.getAsDouble(), strength, medium),
            compliance.get(),
            instruments,
            course));
  }

  private static Optional<HoldSetup.Limits> limits(JsonMembers m) {
    OptionalDouble rated = m.required("rated_kpa", Range.RATED);
    OptionalDouble limit = m.number("limit_kpa", Range.LIMIT);
    boolean maker =
        m.word("limit_source", List.of("cap", "maker")).filter("maker"::equals).isPresent();
    Optional<Purpose> purpose =
        m.word("purpose", List.of("search", "repair", "sign-off"))
            .flatMap(w -> Worded.of(Purpose.class, w));
    OptionalDouble acceptance = m.number("acceptance_ml_per_min", Range.ACCEPTANCE);
    Optional<MakerRule> rule = m.object("maker_rule").flatMap(HoldJson::rule);
    return rated.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new HoldSetup.Limits(rated.getAsDouble(), limit, maker, purpose, acceptance, rule));
  }

  private static HoldSetup.Instruments instruments(JsonMembers m) {
    return new HoldSetup.Instruments(
        m.object("gauge").map(HoldJson::gauge),
        m.object("thermometer").flatMap(HoldJson::thermometer),
        m.number("own_leak_ml_per_min", Range.OWN_LEAK),
        m.number("own_leak_u", Range.OWN_LEAK));
  }

  private static HoldSetup.Course course(JsonMembers m) {
    return new HoldSetup.Course(
        m.number("pumped_until_s", Range.TRACE_CLOCK),
        m.number("pumped_from_kpa", Range.GAUGE),
        m.number("released_before_min", Range.SINCE),
        m.elements("earlier").stream().flatMap(e -> earlier(e).stream()).toList(),
        m.object("closing_draw").flatMap(d -> draw(d, false)),
        window(m));
  }

  /** Overnight, hours stood, or nothing for unknown. */
  private static Optional<Soak> soak(JsonMembers m) {
    JsonNode node = m.get("soak");
    if (node == null || is(node, "unknown")) {
      return Optional.empty();
    }
    if (is(node, "overnight")) {
      return Optional.of(new Soak.Overnight());
    }
    if (node.isNumber() && Range.STOOD.holds(node.doubleValue())) {
      return Optional.of(new Soak.Hours(node.doubleValue()));
    }
    m.refuse(
        "soak",
        node.toString(),
        "overnight, unknown or hours stood, at most " + Range.STOOD.high());
    return Optional.empty();
  }

  private static boolean is(JsonNode node, String word) {
    return node.isString() && node.stringValue().equals(word);
  }

  private static Optional<Window> window(JsonMembers m) {
    JsonNode node = m.get("window_s");
    if (node == null) {
      return Optional.empty();
    }
    boolean good =
        node.isArray()
            && node.size() == 2
            && onClock(node.get(0))
            && onClock(node.get(1))
            && node.get(0).doubleValue() < node.get(1).doubleValue();
    if (!good) {
      m.refuse("window_s", node.toString(), "two numbers, start before end");
      return Optional.empty();
    }
    return Optional.of(new Window(node.get(0).doubleValue(), node.get(1).doubleValue()));
  }

  private static boolean onClock(@Nullable JsonNode node) {
    return node != null && node.isNumber() && Range.TRACE_CLOCK.holds(node.doubleValue());
  }

  private static Optional<Compliance> compliance(Optional<JsonMembers> member, Problems problems) {
    if (member.isEmpty()) {
      problems.add(0, "compliance", "nothing", "an object: trapped_air_ml, or draws");
      return Optional.empty();
    }
    JsonMembers c = member.get();
    List<Draw> draws = c.elements("draws").stream().flatMap(d -> draw(d, true).stream()).toList();
    Optional<CountedStrokes> strokes = c.object("strokes").flatMap(HoldJson::strokes);
    OptionalDouble air = c.number("trapped_air_ml", Range.AIR);
    if (!c.has("draws") && !c.has("strokes") && air.isEmpty()) {
      problems.add(0, "compliance", "none", "trapped_air_ml, draws or strokes");
    }
    OptionalDouble hose = c.number("hose_ml_per_kpa", Range.HOSE);
    if (air.orElse(1) == 0 && hose.orElse(1) == 0) {
      c.refuse("trapped_air_ml", "0, and hoses of 0", "air or hoses: something must give");
    }
    if (c.has("draws") && c.has("strokes")) {
      problems.add(0, "compliance", "draws and strokes", "one of them");
    }
    Compliance compliance =
        new Compliance(
            air,
            hose,
            c.number("relative_uncertainty", Range.RELATIVE),
            c.word("source", List.of("measured", "geometry")).orElse("geometry").equals("measured"),
            draws,
            strokes);
    c.refuseUnknown();
    return Optional.of(compliance);
  }

  private static KnownGauge gauge(JsonMembers g) {
    KnownGauge gauge =
        new KnownGauge(
            g.number("resolution_kpa", Range.GAUGE_STEP).orElse(Usual.GAUGE_STEP),
            g.number("repeatability_kpa", Range.GAUGE_NOISE).orElse(Usual.GAUGE_REPEATABILITY),
            g.number("range_kpa", Range.GAUGE_SCALE),
            g.number("zero_drift_kpa", Range.GAUGE_NOISE),
            g.flag("calibrated", true));
    g.refuseUnknown();
    return gauge;
  }

  private static Optional<Thermometer> thermometer(JsonMembers t) {
    OptionalDouble step = t.required("resolution_c", Range.THERMOMETER_STEP);
    double repeatability = t.number("repeatability_c", Range.THERMOMETER_NOISE).orElse(0);
    t.refuseUnknown();
    return step.isEmpty()
        ? Optional.empty()
        : Optional.of(new Thermometer(step.getAsDouble(), repeatability));
  }

  /** A volume let out; where it may have been pushed in, a negative one raised the pressure. */
  private static Optional<Draw> draw(JsonMembers d, boolean orPushedIn) {
    OptionalDouble ml =
        orPushedIn ? d.requiredSigned("ml", Range.DRAW) : d.required("ml", Range.DRAW);
    OptionalDouble before = d.required("before_kpa", Range.PRESSED);
    OptionalDouble after = d.required("after_kpa", Range.PRESSED);
    d.refuseUnknown();
    if (ml.isEmpty() || before.isEmpty() || after.isEmpty()) {
      return Optional.empty();
    }
    double fall = before.getAsDouble() - after.getAsDouble();
    if (fall * ml.getAsDouble() <= 0) {
      d.refuse(
          "after_kpa",
          String.valueOf(after.getAsDouble()),
          (ml.getAsDouble() > 0 ? "less" : "more") + " than before_kpa");
      return Optional.empty();
    }
    return Optional.of(Draw.of(ml.getAsDouble(), before.getAsDouble(), after.getAsDouble()));
  }

  private static Optional<CountedStrokes> strokes(JsonMembers s) {
    OptionalDouble stroke = s.required("stroke_ml", Range.STROKE);
    double start = s.number("start_kpa", Range.PRESSED).orElse(0);
    List<Strokes.Reading> readings = new ArrayList<>();
    for (JsonMembers r : s.elements("readings")) {
      count(r, start).ifPresent(readings::add);
    }
    s.refuseUnknown();
    if (readings.isEmpty()) {
      s.refuse("readings", "none", "at least one count with its gauge");
      return Optional.empty();
    }
    return stroke.isEmpty()
        ? Optional.empty()
        : Optional.of(new CountedStrokes(stroke.getAsDouble(), start, readings));
  }

  private static Optional<Strokes.Reading> count(JsonMembers r, double start) {
    OptionalDouble count = r.required("count", Range.STROKES);
    OptionalDouble gauge = r.required("gauge_kpa", Range.PRESSED);
    r.refuseUnknown();
    if (count.isEmpty() || gauge.isEmpty()) {
      return Optional.empty();
    }
    if (count.getAsDouble() != Math.rint(count.getAsDouble())) {
      r.refuse("count", String.valueOf(count.getAsDouble()), "whole strokes");
      return Optional.empty();
    }
    if (gauge.getAsDouble() <= start) {
      r.refuse("gauge_kpa", String.valueOf(gauge.getAsDouble()), "more than start_kpa");
      return Optional.empty();
    }
    return Optional.of(
        new Strokes.Reading((int) count.getAsDouble(), new GaugePressure(gauge.getAsDouble())));
  }

  private static Optional<EarlierHold> earlier(JsonMembers e) {
    OptionalDouble settled = e.required("settled_ml", Range.SETTLED);
    OptionalDouble u = e.required("u", Range.AIR);
    e.refuseUnknown();
    return settled.isEmpty() || u.isEmpty()
        ? Optional.empty()
        : Optional.of(new EarlierHold(settled.getAsDouble(), u.getAsDouble()));
  }

  private static Optional<MakerRule> rule(JsonMembers r) {
    OptionalDouble pressure = r.required("pressure_kpa", Range.RULE_PRESSURE);
    OptionalDouble minutes = r.required("minutes", Range.RULE_MINUTES);
    OptionalDouble drop = r.required("drop_kpa", Range.RULE_DROP);
    r.refuseUnknown();
    if (pressure.isEmpty() || minutes.isEmpty() || drop.isEmpty()) {
      return Optional.empty();
    }
    if (drop.getAsDouble() >= pressure.getAsDouble()) {
      r.refuse("drop_kpa", String.valueOf(drop.getAsDouble()), "less than pressure_kpa");
      return Optional.empty();
    }
    return Optional.of(
        new MakerRule(
            new GaugePressure(pressure.getAsDouble()), minutes.getAsDouble(), drop.getAsDouble()));
  }

  /** Writes a description; {@link #read} gives the same one back. */
  public static String write(HoldSetup setup) {
    return MAPPER.writeValueAsString(node(setup));
  }

  static ObjectNode node(HoldSetup d) {
    ObjectNode n = MAPPER.createObjectNode();
    HoldSetup.Limits l = d.limits();
    n.put("format", FORMAT).put("rated_kpa", l.ratedKpa());
    put(n, "limit_kpa", l.limitKpa());
    if (l.fromMaker()) {
      n.put("limit_source", "maker");
    }
    put(n, "atmosphere_kpa", d.surroundings().atmosphereKpa());
    put(n, "ambient_c", d.surroundings().ambientC());
    n.put("liquid_ml", d.filling().liquidMl());
    put(n, "strength", d.filling().strength());
    n.put("medium", d.medium().word());
    writeCompliance(n.putObject("compliance"), d.compliance());
    writeInstruments(n, d.instruments());
    d.surroundings().soak().ifPresent(s -> writeSoak(n, s));
    writeCourse(n, d.course());
    l.purpose().ifPresent(p -> n.put("purpose", p.word()));
    put(n, "acceptance_ml_per_min", l.acceptance());
    l.makerRule()
        .ifPresent(
            r ->
                n.putObject("maker_rule")
                    .put("pressure_kpa", r.pressure().kilopascals())
                    .put("minutes", r.minutes())
                    .put("drop_kpa", r.drop()));
    return n;
  }

  private static void writeSoak(ObjectNode n, Soak soak) {
    if (soak instanceof Soak.Overnight) {
      n.put("soak", "overnight");
    } else if (soak instanceof Soak.Hours stood) {
      n.put("soak", stood.hours());
    } else {
      throw new IllegalArgumentException("nobody can say that it stood " + soak);
    }
  }

  private static void writeInstruments(ObjectNode n, HoldSetup.Instruments i) {
    i.gauge().ifPresent(g -> writeGauge(n.putObject("gauge"), g));
    i.thermometer()
        .ifPresent(
            t ->
                n.putObject("thermometer")
                    .put("resolution_c", t.resolution())
                    .put("repeatability_c", t.repeatability()));
    put(n, "own_leak_ml_per_min", i.ownLeak());
    put(n, "own_leak_u", i.ownLeakU());
  }

  private static void writeCourse(ObjectNode n, HoldSetup.Course c) {
    put(n, "pumped_until_s", c.pumpedUntilS());
    put(n, "pumped_from_kpa", c.pumpedFromKpa());
    put(n, "released_before_min", c.releasedBeforeMin());
    if (!c.earlier().isEmpty()) {
      ArrayNode earlier = n.putArray("earlier");
      c.earlier().forEach(e -> earlier.addObject().put("settled_ml", e.settled()).put("u", e.u()));
    }
    c.closingDraw().ifPresent(draw -> writeDraw(n.putObject("closing_draw"), draw));
    c.window().ifPresent(w -> n.putArray("window_s").add(w.from()).add(w.to()));
  }

  private static void writeCompliance(ObjectNode n, Compliance c) {
    put(n, "trapped_air_ml", c.trappedAirMl());
    put(n, "hose_ml_per_kpa", c.hoseMlPerKpa());
    put(n, "relative_uncertainty", c.relativeUncertainty());
    if (c.measured()) {
      n.put("source", "measured");
    }
    if (!c.draws().isEmpty()) {
      ArrayNode draws = n.putArray("draws");
      c.draws().forEach(d -> writeDraw(draws.addObject(), d));
    }
    c.strokes().ifPresent(s -> writeStrokes(n.putObject("strokes"), s));
  }

  private static void writeStrokes(ObjectNode n, CountedStrokes s) {
    n.put("stroke_ml", s.strokeMl()).put("start_kpa", s.startKpa());
    ArrayNode readings = n.putArray("readings");
    s.readings()
        .forEach(
            r ->
                readings
                    .addObject()
                    .put("count", r.count())
                    .put("gauge_kpa", r.gauge().kilopascals()));
  }

  private static void writeGauge(ObjectNode n, KnownGauge g) {
    n.put("resolution_kpa", g.resolution()).put("repeatability_kpa", g.repeatability());
    put(n, "range_kpa", g.range());
    put(n, "zero_drift_kpa", g.zeroDrift());
    if (!g.calibrated()) {
      n.put("calibrated", false);
    }
  }

  private static void writeDraw(ObjectNode n, Draw d) {
    n.put("ml", d.millilitresOut())
        .put("before_kpa", d.before().kilopascals())
        .put("after_kpa", d.after().kilopascals());
  }

  private static void put(ObjectNode n, String member, OptionalDouble value) {
    if (value.isPresent()) {
      n.put(member, value.getAsDouble());
    }
  }
}
