package gotera.web.pressure;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.pressure.FittedCurve;
import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.Assumption;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.uncertainty.Budget;
import gotera.uncertainty.Contribution;
import gotera.uncertainty.DecisionLimits;
import gotera.web.pressure.TraceStore.Unreadable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Stored verdicts: their own format with its version, apart from the types of the computation as
 * they happen to be. Version 1 held the answer alone; version 2 freezes the conditions and what was
 * assumed beside it. A member that an older one lacks reads as absent. Golden files of every
 * version are read in a test.
 */
final class VerdictArchive {
  private static final int VERSION = 2;
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private VerdictArchive() {}

  /**
   * A verdict as it was given.
   *
   * @param result the answer
   * @param conditions what it was computed under; empty in version 1
   * @param assumed what was assumed; empty in version 1
   */
  record Stored(
      PressureTestResult result, Optional<HoldConditions> conditions, List<Assumption> assumed) {}

  private static Assumption assumption(JsonNode n) {
    return Assumption.of(n.stringValue())
        .orElseThrow(() -> new Unreadable("assumed: " + n.stringValue()));
  }

  static String write(
      PressureTestResult result, HoldConditions conditions, List<Assumption> assumed) {
    ObjectNode n = MAPPER.createObjectNode().put("version", VERSION);
    ArrayNode names = n.putArray("assumed");
    assumed.forEach(a -> names.add(a.member()));
    writeResult(n.putObject("result"), result);
    writeConditions(n.putObject("conditions"), conditions);
    return MAPPER.writeValueAsString(n);
  }

  /**
   * Reads any version.
   *
   * @throws TraceStore.Unreadable where it is none of them
   */
  static Stored read(String json) {
    try {
      JsonNode n = MAPPER.readTree(json);
      if (!n.has("version")) {
        return new Stored(readResult(n), Optional.empty(), List.of());
      }
      if (n.get("version").intValue() != VERSION) {
        throw new TraceStore.Unreadable("verdict of version " + n.get("version"));
      }
      return new Stored(
          readResult(at(n, "result")),
          Optional.of(readConditions(at(n, "conditions"))),
          list(n, "assumed", VerdictArchive::assumption));
    } catch (JacksonException | IllegalArgumentException e) {
      throw new TraceStore.Unreadable("verdict: " + e.getMessage());
    }
  }

  private static void writeResult(ObjectNode n, PressureTestResult r) {
    n.put("estimator", r.estimator()).put("verdict", r.verdict().name());
    ArrayNode reasons = n.putArray("reasons");
    for (Reason reason : r.reasons()) {
      ArrayNode numbers = reasons.addObject().put("code", reason.code().name()).putArray("numbers");
      reason.numbers().forEach(numbers::add);
    }
    r.rate().ifPresent(q -> writeRate(n.putObject("rate"), q));
    put(n, "lowerBound", r.lowerBound());
    r.makerRule()
        .ifPresent(
            m -> {
              ObjectNode rule = n.putObject("makerRule");
              writeRule(rule.putObject("rule"), m.rule());
              rule.put("met", m.met().name()).put("letsThrough", m.letsThrough());
            });
    r.window().ifPresent(w -> writeWindow(n.putObject("window"), w));
    ArrayNode disturbances = n.putArray("disturbances");
    r.disturbances().forEach(w -> writeWindow(disturbances.addObject(), w));
    ArrayNode curve = n.putArray("curve");
    r.curve()
        .forEach(
            p ->
                curve
                    .addObject()
                    .put("seconds", p.seconds())
                    .put("gauge", p.gauge())
                    .put("halfWidth", p.halfWidth()));
  }

  private static void writeRate(ObjectNode n, PressureTestResult.Rate r) {
    n.put("law", r.law().name());
    ArrayNode laws = n.putArray("laws");
    r.laws()
        .forEach(
            w -> laws.addObject().put("law", w.law().name()).put("probability", w.probability()));
    n.put("rate", r.rate());
    ArrayNode budget = n.putObject("budget").putArray("contributions");
    r.budget()
        .contributions()
        .forEach(c -> budget.addObject().put("source", c.source().name()).put("u", c.u()));
    n.putObject("limits")
        .put("u0Additive", r.limits().u0Additive())
        .put("r", r.limits().r())
        .put("thermal", r.limits().thermal())
        .put("k", r.limits().k());
    n.put("leakThreshold", r.leakThreshold());
    n.put("endPressure", r.endPressure()).put("meanPressure", r.meanPressure());
    n.put("compliance", r.compliance());
    writeAir(n.putObject("airAndHoses"), r.airAndHoses());
    n.put("thermalSensitivity", r.thermalSensitivity());
    n.put("drift", r.drift()).put("driftU", r.driftU());
    n.put("driftMeasured", r.driftMeasured()).put("preHold", r.preHold());
    n.put("settled", r.settled()).put("settledU", r.settledU());
    n.put("pumpedUpAgain", r.pumpedUpAgain());
    put(n, "hole", r.hole());
    r.asCoolant()
        .ifPresent(c -> n.putObject("asCoolant").put("seep", c.seep()).put("orifice", c.orifice()));
  }

  private static void writeAir(ObjectNode n, AirAndHoses a) {
    n.putObject("trappedAir").put("millilitres", a.trappedAir().millilitres());
    n.put("hose", a.hose()).put("relativeUncertainty", a.relativeUncertainty());
    n.put("source", a.source().name());
  }

  private static void writeRule(ObjectNode n, MakerRule rule) {
    n.putObject("pressure").put("kilopascals", rule.pressure().kilopascals());
    n.put("minutes", rule.minutes()).put("drop", rule.drop());
  }

  private static void writeWindow(ObjectNode n, HoldConditions.Window w) {
    n.put("from", w.from()).put("to", w.to());
  }

  private static void writeConditions(ObjectNode n, HoldConditions c) {
    n.put("ratedKpa", c.rated().kilopascals());
    n.put("limitKpa", c.limit().pressure().kilopascals());
    n.put("limitSource", c.limit().source().name());
    n.put("purpose", c.acceptance().purpose().name()).put("acceptance", c.acceptance().limit());
    c.makerRule().ifPresent(r -> writeRule(n.putObject("makerRule"), r));
    n.put("atmosphereKpa", c.atmosphere().kilopascals());
    n.put("ambientCelsius", c.ambient().celsius());
    n.put("soak", soak(c.soak()));
    n.put("liquidMl", c.liquid().millilitres()).put("strength", c.coolant().strength());
    writeAir(n.putObject("airAndHoses"), c.airAndHoses());
    n.put("medium", c.medium().name());
    ObjectNode gauge = n.putObject("gauge");
    gauge.put("resolution", c.gauge().resolution());
    gauge.put("repeatability", c.gauge().repeatability());
    put(gauge, "range", c.gauge().range());
    gauge.put("zeroDrift", c.gauge().zeroDrift()).put("calibrated", c.gauge().calibrated());
    c.thermometer()
        .ifPresent(
            t ->
                n.putObject("thermometer")
                    .put("resolution", t.resolution())
                    .put("repeatability", t.repeatability()));
    n.put("ownLeak", c.ownLeak().rate().millilitresPerMinute()).put("ownLeakU", c.ownLeak().u());
    put(n, "pumpedUntil", c.pumping().until());
    n.put("pumpedFromKpa", c.pumping().from().kilopascals());
    ArrayNode earlier = n.putArray("earlier");
    c.earlier().forEach(e -> earlier.addObject().put("settled", e.settled()).put("u", e.u()));
    put(n, "disturbedMinutesBefore", c.disturbedMinutesBefore());
    c.closingDraw()
        .ifPresent(
            d ->
                n.putObject("closingDraw")
                    .put("ml", d.volume().millilitres())
                    .put("beforeKpa", d.before().kilopascals())
                    .put("afterKpa", d.after().kilopascals()));
    c.window().ifPresent(w -> writeWindow(n.putObject("window"), w));
  }

  private static String soak(Soak soak) {
    return soak instanceof Soak.Hours h
        ? Double.toString(h.hours())
        : soak instanceof Soak.Overnight ? "overnight" : "unknown";
  }

  private static void put(ObjectNode n, String member, OptionalDouble value) {
    if (value.isPresent()) {
      n.put(member, value.getAsDouble());
    }
  }

  private static PressureTestResult readResult(JsonNode n) {
    return new PressureTestResult(
        at(n, "estimator").stringValue(),
        VerdictKind.valueOf(at(n, "verdict").stringValue()),
        list(
            n,
            "reasons",
            r ->
                new Reason(
                    Reason.Code.valueOf(at(r, "code").stringValue()),
                    list(r, "numbers", VerdictArchive::value))),
        object(n, "rate", VerdictArchive::readRate),
        number(n, "lowerBound"),
        object(
            n,
            "makerRule",
            m ->
                new PressureTestResult.MakerRuleResult(
                    readRule(at(m, "rule")),
                    MakerRule.Met.valueOf(at(m, "met").stringValue()),
                    required(m, "letsThrough"))),
        object(n, "window", VerdictArchive::readWindow),
        list(n, "disturbances", VerdictArchive::readWindow),
        list(
            n,
            "curve",
            p ->
                new FittedCurve.Point(
                    required(p, "seconds"), required(p, "gauge"), required(p, "halfWidth"))));
  }

  private static PressureTestResult.Rate readRate(JsonNode n) {
    JsonNode limits = at(n, "limits");
    return new PressureTestResult.Rate(
        LeakLaw.valueOf(at(n, "law").stringValue()),
        list(
            n,
            "laws",
            w ->
                new LeakLaw.Weight(
                    LeakLaw.valueOf(at(w, "law").stringValue()), required(w, "probability"))),
        required(n, "rate"),
        new Budget(
            list(
                at(n, "budget"),
                "contributions",
                c ->
                    new Contribution(
                        Contribution.Source.valueOf(at(c, "source").stringValue()),
                        required(c, "u")))),
        new DecisionLimits(
            required(limits, "u0Additive"),
            required(limits, "r"),
            required(limits, "thermal"),
            required(limits, "k")),
        required(n, "leakThreshold"),
        required(n, "endPressure"),
        required(n, "meanPressure"),
        required(n, "compliance"),
        readAir(at(n, "airAndHoses")),
        required(n, "thermalSensitivity"),
        required(n, "drift"),
        required(n, "driftU"),
        at(n, "driftMeasured").booleanValue(),
        flag(n, "preHold"),
        required(n, "settled"),
        number(n, "settledU").orElse(0),
        flag(n, "pumpedUpAgain"),
        number(n, "hole"),
        object(n, "asCoolant", c -> new AsCoolant(required(c, "seep"), required(c, "orifice"))));
  }

  private static AirAndHoses readAir(JsonNode n) {
    return new AirAndHoses(
        new Volume(required(at(n, "trappedAir"), "millilitres")),
        required(n, "hose"),
        required(n, "relativeUncertainty"),
        AirAndHoses.Source.valueOf(at(n, "source").stringValue()));
  }

  private static MakerRule readRule(JsonNode n) {
    return new MakerRule(
        new GaugePressure(required(at(n, "pressure"), "kilopascals")),
        required(n, "minutes"),
        required(n, "drop"));
  }

  private static HoldConditions.Window readWindow(JsonNode n) {
    return new HoldConditions.Window(required(n, "from"), required(n, "to"));
  }

  private static HoldConditions readConditions(JsonNode n) {
    JsonNode gauge = at(n, "gauge");
    return new HoldConditions(
        new HoldConditions.Limits(
            pressure(n, "ratedKpa"),
            new TestLimit(
                pressure(n, "limitKpa"),
                TestLimit.Source.valueOf(at(n, "limitSource").stringValue())),
            new Acceptance(
                Acceptance.Purpose.valueOf(at(n, "purpose").stringValue()),
                required(n, "acceptance")),
            object(n, "makerRule", VerdictArchive::readRule)),
        new HoldConditions.Surroundings(
            new AbsolutePressure(required(n, "atmosphereKpa")),
            Temperature.ofCelsius(required(n, "ambientCelsius")),
            readSoak(at(n, "soak").stringValue())),
        new HoldConditions.FilledSystem(
            new Volume(required(n, "liquidMl")),
            new CoolantMixture(required(n, "strength")),
            readAir(at(n, "airAndHoses")),
            Medium.valueOf(at(n, "medium").stringValue())),
        new HoldConditions.Instruments(
            new Gauge(
                required(gauge, "resolution"),
                required(gauge, "repeatability"),
                number(gauge, "range"),
                required(gauge, "zeroDrift"),
                at(gauge, "calibrated").booleanValue()),
            object(
                n,
                "thermometer",
                t -> new Thermometer(required(t, "resolution"), required(t, "repeatability"))),
            new HoldConditions.OwnLeak(
                new LeakRate(required(n, "ownLeak")), required(n, "ownLeakU"))),
        new HoldConditions.Course(
            new HoldConditions.Pumping(number(n, "pumpedUntil"), pressure(n, "pumpedFromKpa")),
            list(
                n,
                "earlier",
                e -> new HoldConditions.EarlierHold(required(e, "settled"), required(e, "u"))),
            number(n, "disturbedMinutesBefore"),
            object(
                n,
                "closingDraw",
                d ->
                    new Draw(
                        new Volume(required(d, "ml")),
                        pressure(d, "beforeKpa"),
                        pressure(d, "afterKpa"))),
            object(n, "window", VerdictArchive::readWindow)));
  }

  private static Soak readSoak(String word) {
    return switch (word) {
      case "overnight" -> new Soak.Overnight();
      case "unknown" -> new Soak.Unknown();
      default -> new Soak.Hours(Double.parseDouble(word));
    };
  }

  private static GaugePressure pressure(JsonNode n, String member) {
    return new GaugePressure(required(n, member));
  }

  private static JsonNode at(JsonNode n, String member) {
    JsonNode node = n.get(member);
    if (node == null || node.isNull()) {
      throw new TraceStore.Unreadable("verdict lacks " + member);
    }
    return node;
  }

  private static double required(JsonNode n, String member) {
    return value(at(n, member));
  }

  /** JSON has no infinity and no "not a number": they stand as words. */
  private static double value(JsonNode node) {
    return node.isString() ? Double.parseDouble(node.stringValue()) : node.doubleValue();
  }

  private static OptionalDouble number(JsonNode n, String member) {
    JsonNode node = n.get(member);
    return node == null || node.isNull() ? OptionalDouble.empty() : OptionalDouble.of(value(node));
  }

  private static boolean flag(JsonNode n, String member) {
    JsonNode node = n.get(member);
    return node != null && node.isBoolean() && node.booleanValue();
  }

  private static <T> Optional<T> object(JsonNode n, String member, Function<JsonNode, T> read) {
    JsonNode node = n.get(member);
    return node == null || node.isNull() ? Optional.empty() : Optional.of(read.apply(node));
  }

  private static <T> List<T> list(JsonNode n, String member, Function<JsonNode, T> read) {
    List<T> all = new ArrayList<>();
    JsonNode node = n.get(member);
    if (node != null && node.isArray()) {
      node.forEach(e -> all.add(read.apply(e)));
    }
    return all;
  }
}
