package gotera.formats;

import gotera.bubble.BubbleCondition;
import gotera.circuit.Circuit;
import gotera.circuit.Features;
import gotera.look.Condition;
import gotera.range.Range;
import gotera.suspects.Checked;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hiss;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.LevelWatched;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.suspects.Observation;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes checks of the whole, of the inside, and conditions without wetness. */
final class CheckedJson {
  static final List<String> CHECKS =
      List.of(
          "condition",
          "bubbles",
          "cylinder",
          "fluid",
          "two-temperatures",
          "hiss",
          "level-watch",
          "cap-test");

  private static final double HOURS_OF_A_DAY = 24;
  private static final String PASSES = "passes";
  private static final String FAILS = "fails";
  private static final String CYLINDER = "cylinder-";

  private CheckedJson() {}

  static Optional<? extends Observation> read(
      String check, JsonMembers f, Circuit circuit, Features features) {
    return switch (check) {
      case "condition" -> condition(f, circuit);
      case "bubbles" -> bubbles(f, features);
      case "cylinder" -> cylinder(f, features);
      case "fluid" -> fluid(f, features);
      case "two-temperatures" -> temperatures(f);
      case "hiss" -> hiss(f);
      case "cap-test" -> cap(f, circuit);
      default -> level(f);
    };
  }

  private static Optional<Felt> condition(JsonMembers f, Circuit circuit) {
    Optional<Condition> saw = f.requiredChoice("saw", Condition.class);
    return JobJson.place(f, circuit).flatMap(p -> saw.map(s -> new Felt(p, s)));
  }

  private static Optional<CapTried> cap(JsonMembers f, Circuit circuit) {
    Optional<String> saw = f.word("result", List.of(PASSES, FAILS));
    if (!f.has("result")) {
      f.refuse("result", "nothing", PASSES + " or " + FAILS);
    }
    List<String> caps =
        circuit.joints().stream().map(Circuit.Joint::code).filter(CapTried::isCap).toList();
    return f.requiredText("at", "a cap")
        .flatMap(p -> f.known("at", p, caps, "a cap"))
        .flatMap(p -> saw.map(s -> new CapTried(p, s.equals(PASSES))));
  }

  private static Optional<Bubbled> bubbles(JsonMembers f, Features features) {
    burns(f, features, "bubbles");
    Optional<Bubbles> result = f.requiredChoice("result", Bubbles.class);
    OptionalDouble gas = f.number("gas_ml_per_min", Range.RATE_U);
    List<String> failed = f.choices("not_counted", BubbleCondition.class, "a reason");
    return result.map(r -> new Bubbled(r, gas, failed));
  }

  private static Optional<InCylinder> cylinder(JsonMembers f, Features features) {
    burns(f, features, "cylinder");
    List<String> names =
        IntStream.rangeClosed(1, features.lastCylinder()).mapToObj(i -> CYLINDER + i).toList();
    Optional<Integer> number =
        f.requiredText("at", "cylinder-1, cylinder-2 …")
            .flatMap(a -> f.known("at", a, names, "a cylinder"))
            .map(a -> Integer.parseInt(a.substring(CYLINDER.length())));
    Optional<String> saw = f.word("saw", List.of("wet", "dry"));
    if (!f.has("saw")) {
      f.refuse("saw", "nothing", "wet or dry");
    }
    OptionalDouble caught = f.number("caught_ml", Range.CAUGHT);
    OptionalDouble minutes = f.number("minutes", Range.GATHERED);
    boolean pooled = f.flag("pooled", false);
    return number.flatMap(
        n -> saw.map(s -> new InCylinder(n, s.equals("wet"), caught, minutes, pooled)));
  }

  private static Optional<FluidSeen> fluid(JsonMembers f, Features features) {
    burns(f, features, "fluid");
    Optional<Fluid> at = f.requiredChoice("at", Fluid.class);
    Optional<Checked.Look> saw = f.requiredChoice("saw", Checked.Look.class);
    return at.flatMap(a -> saw.map(s -> new FluidSeen(a, s)));
  }

  private static Optional<TwoTemperatures> temperatures(JsonMembers f) {
    OptionalDouble upper = f.required("upper_c", Range.COOLANT);
    OptionalDouble lower = f.required("lower_c", Range.COOLANT);
    OptionalDouble idling = f.required("idling_min", Range.IDLED);
    return upper.isEmpty() || lower.isEmpty() || idling.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new TwoTemperatures(upper.getAsDouble(), lower.getAsDouble(), idling.getAsDouble()));
  }

  private static Optional<Hissed> hiss(JsonMembers f) {
    OptionalDouble coolant = f.number("coolant_c", Range.COOLANT);
    return f.requiredChoice("saw", Hiss.class).map(h -> new Hissed(h, coolant));
  }

  private static Optional<LevelWatched> level(JsonMembers f) {
    OptionalDouble lost = f.required("lost_ml", Range.LEVEL_LOST);
    OptionalDouble days = f.required("days", Range.WATCHED_DAYS);
    OptionalDouble hours = f.required("hot_hours", Range.WATCHED_HOURS);
    OptionalDouble u = f.required("u", Range.LEVEL_U);
    if (hours.orElse(0) > HOURS_OF_A_DAY * days.orElse(Double.MAX_VALUE)) {
      f.refuse(
          "hot_hours",
          String.valueOf(hours.getAsDouble()),
          "no more hours than these days have, " + HOURS_OF_A_DAY * days.getAsDouble());
    }
    return lost.isEmpty() || days.isEmpty() || hours.isEmpty() || u.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new LevelWatched(
                lost.getAsDouble(), days.getAsDouble(), hours.getAsDouble(), u.getAsDouble()));
  }

  /** What burns nothing has no combustion gas, no cylinder and no oil to look at. */
  static void burns(JsonMembers f, Features features, String check) {
    if (features.drive() == Features.Drive.ELECTRIC) {
      f.refuse("check", check, "a check that an electric drive has");
    }
  }

  static void write(ObjectNode n, Checked checked) {
    if (checked instanceof Felt felt) {
      n.put("check", "condition").put("at", felt.place()).put("saw", felt.saw().word());
    } else if (checked instanceof Bubbled b) {
      n.put("check", "bubbles").put("result", b.result().word());
      b.gas().ifPresent(g -> n.put("gas_ml_per_min", g));
      ArrayNode failed = n.putArray("not_counted");
      b.notCounted().forEach(failed::add);
    } else if (checked instanceof CapTried cap) {
      n.put("check", "cap-test").put("at", cap.place());
      n.put("result", cap.passed() ? PASSES : FAILS);
    } else if (checked instanceof InCylinder c) {
      n.put("check", "cylinder").put("at", CYLINDER + c.number());
      n.put("saw", c.wet() ? "wet" : "dry");
      c.caught().ifPresent(ml -> n.put("caught_ml", ml));
      c.minutes().ifPresent(m -> n.put("minutes", m));
      if (c.pooled()) {
        n.put("pooled", true);
      }
    } else if (checked instanceof FluidSeen f) {
      n.put("check", "fluid").put("at", f.at().word()).put("saw", f.saw().word());
    } else if (checked instanceof TwoTemperatures t) {
      n.put("check", "two-temperatures").put("upper_c", t.upper()).put("lower_c", t.lower());
      n.put("idling_min", t.idling());
    } else if (checked instanceof Hissed h) {
      n.put("check", "hiss").put("saw", h.saw().word());
      h.coolant().ifPresent(c -> n.put("coolant_c", c));
    } else if (checked instanceof LevelWatched w) {
      n.put("check", "level-watch").put("lost_ml", w.lost()).put("days", w.days());
      n.put("hot_hours", w.hotHours()).put("u", w.u());
    }
  }
}
