package gotera.formats;

import gotera.formats.HoldDescription.Compliance;
import gotera.formats.HoldDescription.DrawMember;
import gotera.formats.HoldDescription.EarlierMember;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.formats.HoldDescription.RuleMember;
import gotera.formats.HoldDescription.StrokeReading;
import gotera.formats.HoldDescription.StrokesMember;
import gotera.formats.HoldDescription.ThermometerMember;
import gotera.pressure.law.Medium;
import gotera.range.Range;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes hold descriptions. An unknown member is refused with the nearest known one. */
public final class HoldJson {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private HoldJson() {}

  /** Reads a description. */
  public static ReadOutcome<HoldDescription> read(String json) {
    Problems problems = new Problems();
    Optional<JsonMembers> root = JsonMembers.of(json, problems);
    if (root.isEmpty()) {
      return problems.rejected();
    }
    JsonMembers m = root.get();
    Optional<HoldDescription> description = description(m, problems);
    m.refuseUnknown();
    return description.isPresent() && problems.isEmpty()
        ? new ReadOutcome.Accepted<>(description.get())
        : problems.rejected();
  }

  private static Optional<HoldDescription> description(JsonMembers m, Problems problems) {
    m.word("format", List.of(HoldDescription.FORMAT));
    Medium medium =
        m.word("medium", Stream.of(Medium.values()).map(Medium::word).toList())
            .flatMap(Medium::of)
            .orElse(Medium.LIQUID);
    m.onlyYet("glycol", "ethylene");
    OptionalDouble rated = m.required("rated_kpa", Range.RATED);
    OptionalDouble liquid =
        medium == Medium.LIQUID
            ? m.required("liquid_ml", Range.LIQUID)
            : m.required("liquid_ml", Range.AIR);
    Optional<Compliance> compliance = compliance(m.object("compliance"), problems);
    Optional<String> limitSource = m.word("limit_source", List.of("cap", "maker"));
    HoldDescription description =
        new HoldDescription(
            rated.orElse(Range.RATED.low()),
            m.number("limit_kpa", Range.LIMIT),
            limitSource.orElse("cap").equals("maker"),
            m.number("atmosphere_kpa", Range.ATMOSPHERE),
            m.number("ambient_c", Range.ROOM),
            liquid.orElse(1),
            m.number("strength", Range.STRENGTH),
            compliance.orElseGet(
                () ->
                    Compliance.figure(
                        OptionalDouble.of(1),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false)),
            m.object("gauge").map(HoldJson::gauge),
            m.object("thermometer").map(HoldJson::thermometer),
            m.number("own_leak_ml_per_min", Range.OWN_LEAK),
            m.number("own_leak_u", Range.OWN_LEAK),
            m.soak("soak"),
            m.number("pumped_until_s", Range.TRACE_CLOCK),
            m.number("pumped_from_kpa", Range.GAUGE),
            m.number("released_before_min", Range.SINCE),
            m.elements("earlier").stream().map(HoldJson::earlier).toList(),
            m.object("closing_draw").flatMap(HoldJson::draw),
            m.word("purpose", List.of("search", "repair", "sign-off")),
            m.number("acceptance_ml_per_min", Range.ACCEPTANCE),
            m.object("maker_rule").map(HoldJson::rule),
            m.window("window_s"),
            medium);
    return rated.isEmpty() || liquid.isEmpty() || compliance.isEmpty()
        ? Optional.empty()
        : Optional.of(description);
  }

  private static Optional<Compliance> compliance(Optional<JsonMembers> member, Problems problems) {
    if (member.isEmpty()) {
      problems.add(0, "compliance", "nothing", "an object: trapped_air_ml, or draws");
      return Optional.empty();
    }
    JsonMembers c = member.get();
    List<DrawMember> draws =
        c.elements("draws").stream().flatMap(d -> drawOrInjection(d).stream()).toList();
    Optional<StrokesMember> strokes = c.object("strokes").flatMap(HoldJson::strokes);
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

  private static GaugeMember gauge(JsonMembers g) {
    GaugeMember gauge =
        new GaugeMember(
            g.number("resolution_kpa", Range.GAUGE_STEP).orElse(3.4),
            g.number("repeatability_kpa", Range.GAUGE_NOISE).orElse(1.0),
            g.number("range_kpa", Range.GAUGE_SCALE),
            g.number("zero_drift_kpa", Range.GAUGE_NOISE),
            g.flag("calibrated", true));
    g.refuseUnknown();
    return gauge;
  }

  private static ThermometerMember thermometer(JsonMembers t) {
    ThermometerMember thermometer =
        new ThermometerMember(
            t.required("resolution_c", Range.THERMOMETER_STEP).orElse(1),
            t.number("repeatability_c", Range.THERMOMETER_NOISE).orElse(0));
    t.refuseUnknown();
    return thermometer;
  }

  private static Optional<DrawMember> draw(JsonMembers d) {
    OptionalDouble ml = d.required("ml", Range.DRAW);
    OptionalDouble before = d.required("before_kpa", Range.PRESSED);
    OptionalDouble after = d.required("after_kpa", Range.PRESSED);
    d.refuseUnknown();
    if (ml.isEmpty() || before.isEmpty() || after.isEmpty()) {
      return Optional.empty();
    }
    if (after.getAsDouble() >= before.getAsDouble()) {
      d.refuse("after_kpa", String.valueOf(after.getAsDouble()), "less than before_kpa");
      return Optional.empty();
    }
    return Optional.of(new DrawMember(ml.getAsDouble(), before.getAsDouble(), after.getAsDouble()));
  }

  /** As a draw; a negative volume was pushed in and raised the pressure. */
  private static Optional<DrawMember> drawOrInjection(JsonMembers d) {
    OptionalDouble ml = d.requiredSigned("ml", Range.DRAW);
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
    return Optional.of(new DrawMember(ml.getAsDouble(), before.getAsDouble(), after.getAsDouble()));
  }

  private static Optional<StrokesMember> strokes(JsonMembers s) {
    OptionalDouble stroke = s.required("stroke_ml", Range.STROKE);
    double start = s.number("start_kpa", Range.PRESSED).orElse(0);
    List<StrokeReading> readings = new ArrayList<>();
    for (JsonMembers r : s.elements("readings")) {
      OptionalDouble count = r.required("count", Range.STROKES);
      OptionalDouble gauge = r.required("gauge_kpa", Range.PRESSED);
      r.refuseUnknown();
      if (count.isEmpty() || gauge.isEmpty()) {
        continue;
      }
      if (count.getAsDouble() != Math.rint(count.getAsDouble())) {
        r.refuse("count", String.valueOf(count.getAsDouble()), "whole strokes");
      } else if (gauge.getAsDouble() <= start) {
        r.refuse("gauge_kpa", String.valueOf(gauge.getAsDouble()), "more than start_kpa");
      } else {
        readings.add(new StrokeReading((int) count.getAsDouble(), gauge.getAsDouble()));
      }
    }
    s.refuseUnknown();
    if (readings.isEmpty()) {
      s.refuse("readings", "none", "at least one count with its gauge");
      return Optional.empty();
    }
    return stroke.isEmpty()
        ? Optional.empty()
        : Optional.of(new StrokesMember(stroke.getAsDouble(), start, List.copyOf(readings)));
  }

  private static EarlierMember earlier(JsonMembers e) {
    EarlierMember earlier =
        new EarlierMember(
            e.required("settled_ml", Range.SETTLED).orElse(0),
            e.required("u", Range.AIR).orElse(0));
    e.refuseUnknown();
    return earlier;
  }

  private static RuleMember rule(JsonMembers r) {
    RuleMember rule =
        new RuleMember(
            r.required("pressure_kpa", Range.RULE_PRESSURE).orElse(100),
            r.required("minutes", Range.RULE_MINUTES).orElse(1),
            r.required("drop_kpa", Range.RULE_DROP).orElse(0.5));
    if (rule.dropKpa() >= rule.pressureKpa()) {
      r.refuse("drop_kpa", String.valueOf(rule.dropKpa()), "less than pressure_kpa");
    }
    r.refuseUnknown();
    return rule;
  }

  /** Writes a description; {@link #read} gives the same one back. */
  public static String write(HoldDescription d) {
    return MAPPER.writeValueAsString(node(d));
  }

  static ObjectNode node(HoldDescription d) {
    ObjectNode n = MAPPER.createObjectNode();
    n.put("format", HoldDescription.FORMAT).put("rated_kpa", d.ratedKpa());
    put(n, "limit_kpa", d.limitKpa());
    if (d.limitFromMaker()) {
      n.put("limit_source", "maker");
    }
    put(n, "atmosphere_kpa", d.atmosphereKpa());
    put(n, "ambient_c", d.ambientC());
    n.put("liquid_ml", d.liquidMl());
    put(n, "strength", d.strength());
    n.put("medium", d.medium().word());
    writeCompliance(n.putObject("compliance"), d.compliance());
    d.gauge().ifPresent(g -> writeGauge(n.putObject("gauge"), g));
    d.thermometer()
        .ifPresent(
            t ->
                n.putObject("thermometer")
                    .put("resolution_c", t.resolutionC())
                    .put("repeatability_c", t.repeatabilityC()));
    put(n, "own_leak_ml_per_min", d.ownLeak());
    put(n, "own_leak_u", d.ownLeakU());
    if (d.soakHours().isPresent()) {
      if (Double.isInfinite(d.soakHours().getAsDouble())) {
        n.put("soak", "overnight");
      } else {
        n.put("soak", d.soakHours().getAsDouble());
      }
    }
    put(n, "pumped_until_s", d.pumpedUntilS());
    put(n, "pumped_from_kpa", d.pumpedFromKpa());
    put(n, "released_before_min", d.releasedBeforeMin());
    if (!d.earlier().isEmpty()) {
      ArrayNode earlier = n.putArray("earlier");
      d.earlier()
          .forEach(e -> earlier.addObject().put("settled_ml", e.settledMl()).put("u", e.u()));
    }
    d.closingDraw().ifPresent(c -> writeDraw(n.putObject("closing_draw"), c));
    d.purpose().ifPresent(p -> n.put("purpose", p));
    put(n, "acceptance_ml_per_min", d.acceptance());
    d.makerRule()
        .ifPresent(
            r ->
                n.putObject("maker_rule")
                    .put("pressure_kpa", r.pressureKpa())
                    .put("minutes", r.minutes())
                    .put("drop_kpa", r.dropKpa()));
    d.windowS().ifPresent(w -> n.putArray("window_s").add(w.get(0)).add(w.get(1)));
    return n;
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

  private static void writeStrokes(ObjectNode n, StrokesMember s) {
    n.put("stroke_ml", s.strokeMl()).put("start_kpa", s.startKpa());
    ArrayNode readings = n.putArray("readings");
    s.readings()
        .forEach(r -> readings.addObject().put("count", r.count()).put("gauge_kpa", r.gaugeKpa()));
  }

  private static void writeGauge(ObjectNode n, GaugeMember g) {
    n.put("resolution_kpa", g.resolutionKpa()).put("repeatability_kpa", g.repeatabilityKpa());
    put(n, "range_kpa", g.rangeKpa());
    put(n, "zero_drift_kpa", g.zeroDriftKpa());
    if (!g.calibrated()) {
      n.put("calibrated", false);
    }
  }

  private static void writeDraw(ObjectNode n, DrawMember d) {
    n.put("ml", d.ml()).put("before_kpa", d.beforeKpa()).put("after_kpa", d.afterKpa());
  }

  private static void put(ObjectNode n, String member, OptionalDouble value) {
    if (value.isPresent()) {
      n.put(member, value.getAsDouble());
    }
  }
}
