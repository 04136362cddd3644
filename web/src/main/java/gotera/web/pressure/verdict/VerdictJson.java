package gotera.web.pressure.verdict;

import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.Soak;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.Reason;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A verdict and its conditions as members of a JSON object. */
final class VerdictJson {
  private VerdictJson() {}

  static void result(ObjectNode n, PressureTestResult r) {
    n.put("estimator", r.estimator()).put("verdict", r.verdict().name());
    ArrayNode reasons = n.putArray("reasons");
    for (Reason reason : r.reasons()) {
      ArrayNode numbers = reasons.addObject().put("code", reason.code().name()).putArray("numbers");
      reason.numbers().forEach(numbers::add);
    }
    r.rate().ifPresent(q -> rate(n.putObject("rate"), q));
    put(n, "lowerBound", r.lowerBound());
    r.makerRule()
        .ifPresent(
            m -> {
              ObjectNode rule = n.putObject("makerRule");
              rule(rule.putObject("rule"), m.rule());
              rule.put("met", m.met().name()).put("letsThrough", m.letsThrough());
            });
    r.window().ifPresent(w -> window(n.putObject("window"), w));
    ArrayNode disturbances = n.putArray("disturbances");
    r.disturbances().forEach(w -> window(disturbances.addObject(), w));
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

  private static void rate(ObjectNode n, PressureTestResult.Rate r) {
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
    air(n.putObject("airAndHoses"), r.airAndHoses());
    n.put("thermalSensitivity", r.thermalSensitivity());
    n.put("drift", r.drift()).put("driftU", r.driftU());
    n.put("driftMeasured", r.driftMeasured()).put("preHold", r.preHold());
    n.put("settled", r.settled()).put("settledU", r.settledU());
    n.put("pumpedUpAgain", r.pumpedUpAgain());
    put(n, "hole", r.hole());
    r.asCoolant()
        .ifPresent(c -> n.putObject("asCoolant").put("seep", c.seep()).put("orifice", c.orifice()));
  }

  private static void air(ObjectNode n, AirAndHoses a) {
    n.putObject("trappedAir").put("millilitres", a.trappedAir().millilitres());
    n.put("hose", a.hose()).put("relativeUncertainty", a.relativeUncertainty());
    n.put("source", a.source().name());
  }

  private static void rule(ObjectNode n, MakerRule rule) {
    n.putObject("pressure").put("kilopascals", rule.pressure().kilopascals());
    n.put("minutes", rule.minutes()).put("drop", rule.drop());
  }

  private static void window(ObjectNode n, HoldConditions.Window w) {
    n.put("from", w.from()).put("to", w.to());
  }

  private static void instruments(ObjectNode n, HoldConditions c) {
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
  }

  static void conditions(ObjectNode n, HoldConditions c) {
    n.put("ratedKpa", c.rated().kilopascals());
    n.put("limitKpa", c.limit().pressure().kilopascals());
    n.put("limitSource", c.limit().source().name());
    n.put("purpose", c.acceptance().purpose().name()).put("acceptance", c.acceptance().limit());
    c.makerRule().ifPresent(r -> rule(n.putObject("makerRule"), r));
    n.put("atmosphereKpa", c.atmosphere().kilopascals());
    n.put("ambientCelsius", c.ambient().celsius());
    n.put("soak", soak(c.soak()));
    n.put("liquidMl", c.liquid().millilitres()).put("strength", c.coolant().strength());
    air(n.putObject("airAndHoses"), c.airAndHoses());
    n.put("medium", c.medium().name());
    instruments(n, c);
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
    c.window().ifPresent(w -> window(n.putObject("window"), w));
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
}
