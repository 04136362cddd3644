package gotera.formats;

import gotera.balance.SiteFlow;
import gotera.circuit.Branch;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Scope;
import gotera.uncertainty.DecisionLimits;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes a hold among the findings of a job. */
final class HeldJson {
  private static final String HOT = "hot-running";

  private HeldJson() {}

  static Optional<Held> read(JsonMembers f) {
    boolean hot =
        f.word("state", List.of("cold", "cold-pressure", HOT)).filter(HOT::equals).isPresent();
    Optional<VerdictKind> verdict = f.choice("verdict", VerdictKind.class);
    Optional<Outcome> outcome = outcome(f, verdict);
    OptionalDouble rated = f.number("rated_kpa", Range.RATED);
    String loop = f.word("loop", Worded.words(Branch.class)).orElse("");
    Set<Branch> cutOff = BranchesJson.read(f, "cut_off");
    boolean shut =
        f.word("heater_valve", List.of("open", "shut")).filter("shut"::equals).isPresent();
    boolean afterRepair = f.flag("after_repair", false);
    List<SiteFlow> caught = f.elements("caught").stream().flatMap(c -> caught(c).stream()).toList();
    return outcome.map(
        o ->
            new Held(
                verdict.orElseGet(() -> usual(o)),
                o,
                rated.orElse(Held.USUAL_RATED),
                new Scope(loop, hot, cutOff, shut),
                afterRepair,
                caught));
  }

  /** What a file that names no verdict means: a leak where its rate is above its noise. */
  private static VerdictKind usual(Outcome outcome) {
    return outcome instanceof Outcome.Rate r && r.rate() > DecisionLimits.K * r.u()
        ? VerdictKind.LEAK
        : VerdictKind.NOT_PROVEN;
  }

  private static Optional<Outcome> outcome(JsonMembers f, Optional<VerdictKind> verdict) {
    OptionalDouble least = f.number("at_least_ml_per_min", Range.LEAST_RATE);
    LeakLaw law = f.choice("law", LeakLaw.class).orElse(LeakLaw.ORIFICE);
    if (least.isPresent()) {
      return Optional.of(new Outcome.AtLeast(least.getAsDouble()));
    }
    if (verdict.isPresent() && !f.has("rate_ml_per_min") && !f.has("u")) {
      return Optional.of(new Outcome.Nothing());
    }
    OptionalDouble q = f.required("rate_ml_per_min", Range.RATE);
    OptionalDouble u = f.required("u", Range.RATE_U);
    return q.isEmpty() || u.isEmpty()
        ? Optional.empty()
        : Optional.of(new Outcome.Rate(q.getAsDouble(), u.getAsDouble(), law));
  }

  private static Optional<SiteFlow> caught(JsonMembers c) {
    OptionalDouble ml = c.required("ml", Range.CAUGHT);
    OptionalDouble minutes = c.required("minutes", Range.GATHERED);
    OptionalDouble u = c.required("u_ml_per_min", Range.RATE_U);
    c.refuseUnknown();
    return ml.isEmpty() || minutes.isEmpty() || u.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new SiteFlow.Caught(
                new Volume(ml.getAsDouble()),
                minutes.getAsDouble(),
                u.getAsDouble(),
                Optional.empty()));
  }

  static void write(ObjectNode n, Held held) {
    n.put("check", "pressure-test").put("verdict", held.verdict().word());
    n.put("state", held.scope().hot() ? HOT : "cold");
    if (held.outcome() instanceof Outcome.Rate r) {
      n.put("rate_ml_per_min", r.rate()).put("u", r.u()).put("law", r.law().word());
    } else if (held.outcome() instanceof Outcome.AtLeast least) {
      n.put("at_least_ml_per_min", least.rate());
    }
    n.put("rated_kpa", held.ratedKpa());
    if (!held.loop().isEmpty()) {
      n.put("loop", held.loop());
    }
    BranchesJson.write(n, "cut_off", held.scope().cutOff());
    if (held.scope().heaterValveShut()) {
      n.put("heater_valve", "shut");
    }
    if (held.afterRepair()) {
      n.put("after_repair", true);
    }
    if (!held.caught().isEmpty()) {
      ArrayNode caught = n.putArray("caught");
      for (SiteFlow flow : held.caught()) {
        if (flow instanceof SiteFlow.Caught c) {
          caught
              .addObject()
              .put("ml", c.volume().millilitres())
              .put("minutes", c.minutes())
              .put("u_ml_per_min", c.u());
        }
      }
    }
  }
}
