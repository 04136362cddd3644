package gotera.formats;

import gotera.circuit.Circuit;
import gotera.circuit.DripSpot;
import gotera.range.Range;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Replaced;
import gotera.suspects.Observation.Sign;
import gotera.suspects.RegionFacts;
import gotera.suspects.Told;
import gotera.suspects.Vocabulary;
import gotera.suspects.WhereLost;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes what the customer tells. */
final class ComplaintJson {
  private ComplaintJson() {}

  static List<Observation> read(JsonMembers c, Circuit circuit) {
    List<Observation> told = new ArrayList<>();
    List<String> signs = Vocabulary.published().signs().stream().map(RegionFacts::name).toList();
    for (String sign : c.texts("signs")) {
      c.known("signs", sign, signs, "a sign").map(Sign::new).ifPresent(told::add);
    }
    for (String when : c.texts("when")) {
      c.known("when", when, Worded.words(WhereLost.class), "when it is lost")
          .flatMap(w -> Worded.of(WhereLost.class, w))
          .flatMap(WhereLost::sign)
          .map(Sign::new)
          .ifPresent(told::add);
    }
    OptionalDouble loss = c.number("loss_ml_per_week", Range.LOSS_A_WEEK);
    OptionalDouble hours = c.number("hot_hours_per_week", Range.HOT_HOURS_A_WEEK);
    if (loss.orElse(0) > 0) {
      told.add(
          new Told.Loss(loss.getAsDouble(), hours.orElse(0) > 0 ? hours : OptionalDouble.empty()));
    }
    List<String> spots = DripSpot.in(circuit).stream().map(DripSpot::word).toList();
    c.text("puddle_at")
        .flatMap(p -> c.known("puddle_at", p, spots, "a spot"))
        .flatMap(w -> Worded.of(DripSpot.class, w))
        .map(Told.Puddle::new)
        .ifPresent(told::add);
    c.choice("ground", Told.Surface.class).map(Told.Ground::new).ifPresent(told::add);
    c.choice("trips", Told.Length.class).map(Told.Trips::new).ifPresent(told::add);
    for (JsonMembers h : c.elements("history")) {
      history(h).ifPresent(told::add);
    }
    c.refuseUnknown();
    return told;
  }

  private static Optional<Replaced> history(JsonMembers h) {
    Optional<String> part = h.text("part");
    OptionalDouble ago = h.number("replaced_days_ago", Range.DAYS_AGO);
    h.refuseUnknown();
    return part.isPresent() && ago.isPresent()
        ? Optional.of(new Replaced(part.get(), ago.getAsDouble()))
        : Optional.empty();
  }

  static void write(ObjectNode n, List<Observation> observed) {
    ArrayNode signs = n.putArray("signs");
    ArrayNode history = n.putArray("history");
    for (Observation o : observed) {
      if (o instanceof Sign sign) {
        signs.add(sign.sign());
      } else if (o instanceof Replaced r) {
        history.addObject().put("part", r.part()).put("replaced_days_ago", r.daysAgo());
      } else if (o instanceof Told.Loss loss) {
        n.put("loss_ml_per_week", loss.perWeek());
        loss.hotHours().ifPresent(h -> n.put("hot_hours_per_week", h));
      } else if (o instanceof Told.Puddle puddle) {
        n.put("puddle_at", puddle.spot().word());
      } else if (o instanceof Told.Ground ground) {
        n.put("ground", ground.surface().word());
      } else if (o instanceof Told.Trips trips) {
        n.put("trips", trips.length().word());
      }
    }
  }

  /** Whether an observation is one of the complaint. */
  static boolean is(Observation o) {
    return o instanceof Sign || o instanceof Replaced || o instanceof Told;
  }
}
