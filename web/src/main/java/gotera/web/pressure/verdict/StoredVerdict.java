package gotera.web.pressure.verdict;

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
import gotera.web.pressure.trace.Unreadable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/** Reads a verdict and its conditions as they were stored; unreadable where a member is lacking. */
final class StoredVerdict {
  private StoredVerdict() {}

  static Assumption assumption(JsonNode n) {
    return Assumption.of(n.stringValue())
        .orElseThrow(() -> new Unreadable("assumed: " + n.stringValue()));
  }

  static PressureTestResult result(JsonNode n) {
    return new PressureTestResult(
        at(n, "estimator").stringValue(),
        VerdictKind.valueOf(at(n, "verdict").stringValue()),
        list(
            n,
            "reasons",
            r ->
                new Reason(
                    Reason.Code.valueOf(at(r, "code").stringValue()),
                    list(r, "numbers", StoredVerdict::value))),
        object(n, "rate", StoredVerdict::rate),
        number(n, "lowerBound"),
        object(
            n,
            "makerRule",
            m ->
                new PressureTestResult.MakerRuleResult(
                    rule(at(m, "rule")),
                    MakerRule.Met.valueOf(at(m, "met").stringValue()),
                    required(m, "letsThrough"))),
        object(n, "window", StoredVerdict::window),
        list(n, "disturbances", StoredVerdict::window),
        list(
            n,
            "curve",
            p ->
                new FittedCurve.Point(
                    required(p, "seconds"), required(p, "gauge"), required(p, "halfWidth"))));
  }

  private static PressureTestResult.Rate rate(JsonNode n) {
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
        air(at(n, "airAndHoses")),
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

  private static AirAndHoses air(JsonNode n) {
    return new AirAndHoses(
        new Volume(required(at(n, "trappedAir"), "millilitres")),
        required(n, "hose"),
        required(n, "relativeUncertainty"),
        AirAndHoses.Source.valueOf(at(n, "source").stringValue()));
  }

  private static MakerRule rule(JsonNode n) {
    return new MakerRule(
        new GaugePressure(required(at(n, "pressure"), "kilopascals")),
        required(n, "minutes"),
        required(n, "drop"));
  }

  private static HoldConditions.Window window(JsonNode n) {
    return new HoldConditions.Window(required(n, "from"), required(n, "to"));
  }

  private static HoldConditions.Limits limits(JsonNode n) {
    return new HoldConditions.Limits(
        pressure(n, "ratedKpa"),
        new TestLimit(
            pressure(n, "limitKpa"), TestLimit.Source.valueOf(at(n, "limitSource").stringValue())),
        new Acceptance(
            Acceptance.Purpose.valueOf(at(n, "purpose").stringValue()), required(n, "acceptance")),
        object(n, "makerRule", StoredVerdict::rule));
  }

  private static HoldConditions.Instruments instruments(JsonNode n) {
    JsonNode gauge = at(n, "gauge");
    return new HoldConditions.Instruments(
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
        new HoldConditions.OwnLeak(new LeakRate(required(n, "ownLeak")), required(n, "ownLeakU")));
  }

  static HoldConditions conditions(JsonNode n) {
    return new HoldConditions(
        limits(n),
        new HoldConditions.Surroundings(
            new AbsolutePressure(required(n, "atmosphereKpa")),
            Temperature.ofCelsius(required(n, "ambientCelsius")),
            soak(at(n, "soak").stringValue())),
        new HoldConditions.FilledSystem(
            new Volume(required(n, "liquidMl")),
            new CoolantMixture(required(n, "strength")),
            air(at(n, "airAndHoses")),
            Medium.valueOf(at(n, "medium").stringValue())),
        instruments(n),
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
            object(n, "window", StoredVerdict::window)));
  }

  private static Soak soak(String word) {
    return switch (word) {
      case "overnight" -> new Soak.Overnight();
      case "unknown" -> new Soak.Unknown();
      default -> new Soak.Hours(Double.parseDouble(word));
    };
  }

  private static GaugePressure pressure(JsonNode n, String member) {
    return new GaugePressure(required(n, member));
  }

  static JsonNode at(JsonNode n, String member) {
    JsonNode node = n.get(member);
    if (node == null || node.isNull()) {
      throw new Unreadable("verdict lacks " + member);
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

  static <T> List<T> list(JsonNode n, String member, Function<JsonNode, T> read) {
    List<T> all = new ArrayList<>();
    JsonNode node = n.get(member);
    if (node != null && node.isArray()) {
      node.forEach(e -> all.add(read.apply(e)));
    }
    return all;
  }
}
