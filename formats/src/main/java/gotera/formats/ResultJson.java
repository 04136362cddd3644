package gotera.formats;

import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.verdict.Reason;
import gotera.uncertainty.Contribution;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes results, one JSON object a line, with the estimator's version and every input and default
 * it used, so that a stored verdict never changes its meaning.
 */
public final class ResultJson {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private ResultJson() {}

  /**
   * A result as one line.
   *
   * @param trace name of the trace
   * @param result the result
   * @param setup the hold as it was described
   * @param completed the conditions used, and the defaults taken
   */
  public static String line(
      String trace, PressureTestResult result, HoldSetup setup, CompletedHold completed) {
    ObjectNode n = MAPPER.createObjectNode();
    n.put("trace", trace).put("verdict", result.verdict().word());
    result.rate().ifPresent(r -> rate(n, r));
    if (result.lowerBound().isPresent()) {
      number(n, "lower_bound_ml_per_min", result.lowerBound().getAsDouble());
    }
    result
        .makerRule()
        .ifPresent(
            m -> {
              ObjectNode rule = n.putObject("maker_rule").put("met", m.met().word());
              number(rule, "lets_through_ml_per_min", m.letsThrough());
            });
    ArrayNode reasons = n.putArray("reasons");
    result.reasons().forEach(r -> reason(reasons.addObject(), r));
    ArrayNode assumed = n.putArray("assumed");
    completed.assumed().forEach(a -> assumed.add(a.member()));
    result.window().ifPresent(w -> n.putArray("window_s").add(w.from()).add(w.to()));
    ArrayNode disturbances = n.putArray("disturbances_s");
    result.disturbances().forEach(d -> disturbances.addArray().add(d.from()).add(d.to()));
    n.put("estimator", result.estimator());
    n.set("hold", HoldJson.node(setup));
    used(n.putObject("used"), completed.conditions());
    return MAPPER.writeValueAsString(n);
  }

  private static void reason(ObjectNode n, Reason reason) {
    ArrayNode figures = n.put("reason", reason.code().word()).putArray("figures");
    for (double figure : reason.numbers()) {
      // a figure that means nothing has its place, and no number
      if (Double.isFinite(figure)) {
        figures.add(rounded(figure));
      } else {
        figures.addNull();
      }
    }
  }

  private static void budget(ArrayNode budget, PressureTestResult.Rate r) {
    for (Contribution c : r.budget().contributions()) {
      ObjectNode item = budget.addObject().put("source", c.source().word());
      number(item, "ml_per_min", c.u());
    }
  }

  private static void rate(ObjectNode n, PressureTestResult.Rate r) {
    number(n, "rate_ml_per_min", r.rate());
    number(n, "standard_uncertainty_ml_per_min", r.u());
    number(n, "upper_bound_ml_per_min", r.upper());
    number(n, "critical_ml_per_min", r.limits().critical());
    number(n, "leak_threshold_ml_per_min", r.leakThreshold());
    number(n, "detection_limit_ml_per_min", r.limits().detection());
    n.put("law", r.law().word());
    ArrayNode laws = n.putArray("laws");
    for (LeakLaw.Weight w : r.laws()) {
      ObjectNode law = laws.addObject().put("law", w.law().word()).put("settling", true);
      number(law, "weight", w.probability());
    }
    n.put("only_up_to_end_pressure", !r.pumpedUpAgain());
    budget(n.putArray("budget"), r);
    if (r.hole().isPresent()) {
      number(n, "hole_mm", r.hole().getAsDouble());
    }
    number(n, "end_pressure_kpa", r.endPressure());
    number(n, "compliance_ml_per_kpa", r.compliance());
    number(n, "drift_k_per_min", r.drift());
    number(n, "settled_ml", r.settled());
    n.put("pre_hold", r.preHold());
    r.asCoolant()
        .ifPresent(
            c -> {
              ObjectNode coolant = n.putObject("as_coolant");
              number(coolant, "seep_ml_per_min", c.seep());
              number(coolant, "orifice_ml_per_min", c.orifice());
            });
  }

  private static void used(ObjectNode n, HoldConditions c) {
    number(n, "rated_kpa", c.rated().kilopascals());
    number(n, "limit_kpa", c.limit().pressure().kilopascals());
    number(n, "atmosphere_kpa", c.atmosphere().kilopascals());
    number(n, "ambient_c", c.ambient().celsius());
    number(n, "strength", c.coolant().strength());
    number(n, "trapped_air_ml", c.airAndHoses().trappedAir().millilitres());
    number(n, "hose_ml_per_kpa", c.airAndHoses().hose());
    number(n, "relative_uncertainty", c.airAndHoses().relativeUncertainty());
    n.put("compliance_source", c.airAndHoses().source().word());
    number(n, "gauge_resolution_kpa", c.gauge().resolution());
    number(n, "gauge_repeatability_kpa", c.gauge().repeatability());
    number(n, "zero_drift_kpa", c.gauge().zeroDrift());
    number(n, "acceptance_ml_per_min", c.acceptance().limit());
    n.put("purpose", c.acceptance().purpose().word());
  }

  private static void number(ObjectNode n, String member, double value) {
    // JSON has no infinity: a bound that does not exist is absent
    if (Double.isFinite(value)) {
      n.put(member, rounded(value));
    }
  }

  /** Six significant digits: more than any gauge knows, and short enough to read. */
  private static double rounded(double value) {
    if (value == 0) {
      return value;
    }
    return new java.math.BigDecimal(value).round(new java.math.MathContext(6)).doubleValue();
  }
}
