package gotera.formats;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Lie;
import gotera.evidence.Diagnosis;
import gotera.evidence.Diagnosis.Look;
import gotera.evidence.Diagnosis.Rate;
import gotera.evidence.Finding;
import gotera.evidence.PlaceFacts;
import gotera.evidence.PlaceFacts.State;
import gotera.evidence.SignFacts;
import gotera.look.DripFinding;
import gotera.range.Range;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Reads the part of a job, {@code gotera-job/1}, that suspects are ranked by. Names are those of
 * the {@link Vocabulary}; an unknown one is refused with the nearest known.
 */
public final class JobJson {
  private static final String FORMAT = "gotera-job/1";
  private static final List<String> CHECKS =
      List.of("look", "pressure-test", "combustion-gas", "drip", "dye");
  private static final List<String> STATES =
      List.of("cold-pressure", "cold", "parked", "warm", "running");

  /** The same part failing twice so soon asks for a gas check first (days; our judgement). */
  private static final double SOON = 365;

  private JobJson() {}

  /** Reads what a job found. */
  public static ReadOutcome<JobFindings> read(String json) {
    Problems problems = new Problems();
    Optional<JsonMembers> root = JsonMembers.of(json, problems);
    if (root.isEmpty()) {
      return problems.rejected();
    }
    JsonMembers m = root.get();
    m.word("format", List.of(FORMAT));
    Optional<Features> features = vehicle(m.object("vehicle"));
    List<String> flags = new ArrayList<>();
    List<SignFacts> signs = complaint(m.object("complaint"), flags);
    Circuit circuit = CircuitBuilder.of(features.orElse(CircuitPresets.USUAL));
    List<Look> looks = new ArrayList<>();
    List<Finding> others = new ArrayList<>();
    Optional<Rate> rate = Optional.empty();
    for (JsonMembers f : m.elements("findings")) {
      Optional<Rate> measured = finding(f, circuit, looks, others, flags);
      // the newest test counts
      rate = measured.isPresent() ? measured : rate;
    }
    m.refuseUnknown();
    if (!problems.isEmpty()) {
      return problems.rejected();
    }
    List<PlaceFacts> places =
        Vocabulary.published().places(CircuitBuilder.of(features.orElse(CircuitPresets.USUAL)));
    return new ReadOutcome.Accepted<>(
        new JobFindings(
            places,
            new Diagnosis.Found(Set.of(), looks, signs, rate, others, Set.of()),
            List.copyOf(flags)));
  }

  /** What the circuit is built from; the usual where the file says nothing. */
  private static Optional<Features> vehicle(Optional<JsonMembers> member) {
    if (member.isEmpty()) {
      return Optional.empty();
    }
    JsonMembers v = member.get();
    Drive drive = one(v, "energy", Drive.values()).orElse(CircuitPresets.USUAL.drive());
    v.number("kilometres", Range.KILOMETRES);
    Features features =
        v.object("circuit")
            .map(c -> circuit(c, drive))
            .orElse(
                new Features(
                    drive,
                    CircuitPresets.USUAL.fill(),
                    CircuitPresets.USUAL.engine(),
                    CircuitPresets.USUAL.lie(),
                    Set.of()));
    v.refuseUnknown();
    return Optional.of(features);
  }

  private static Features circuit(JsonMembers c, Drive drive) {
    Fill fill = one(c, "fill", Fill.values()).orElse(CircuitPresets.USUAL.fill());
    Engine engine = one(c, "engine", Engine.values()).orElse(CircuitPresets.USUAL.engine());
    Lie lie = one(c, "lie", Lie.values()).orElse(CircuitPresets.USUAL.lie());
    Set<Extra> extras = EnumSet.noneOf(Extra.class);
    List<String> known = Arrays.stream(Extra.values()).map(Extra::word).toList();
    for (String word : c.texts("features")) {
      Features.read(Extra.class, word)
          .ifPresentOrElse(
              extras::add,
              () -> c.refuse("features", word, "a feature, nearest: " + Nearest.to(word, known)));
    }
    c.refuseUnknown();
    return new Features(drive, fill, engine, lie, extras);
  }

  /** One of some values, by its word. */
  @SafeVarargs
  private static <E extends Enum<E>> Optional<E> one(JsonMembers m, String name, E... values) {
    List<String> known =
        Arrays.stream(values)
            .map(v -> v.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'))
            .toList();
    return m.word(name, known).map(w -> values[known.indexOf(w)]);
  }

  private static List<SignFacts> complaint(Optional<JsonMembers> member, List<String> flags) {
    if (member.isEmpty()) {
      return List.of();
    }
    JsonMembers c = member.get();
    c.number("loss_ml_per_week", Range.LOSS_A_WEEK);
    c.number("hot_hours_per_week", Range.HOT_HOURS_A_WEEK);
    List<String> known = Vocabulary.published().signs().stream().map(SignFacts::sign).toList();
    List<SignFacts> signs = new ArrayList<>();
    for (String sign : c.texts("signs")) {
      Vocabulary.published()
          .sign(sign)
          .ifPresentOrElse(
              signs::add,
              () -> c.refuse("signs", sign, "a sign, nearest: " + Nearest.to(sign, known)));
    }
    for (JsonMembers h : c.elements("history")) {
      Optional<String> part = h.text("part");
      OptionalDouble ago = h.number("replaced_days_ago", Range.DAYS_AGO);
      h.refuseUnknown();
      if (part.isPresent() && ago.orElse(Double.MAX_VALUE) <= SOON) {
        flags.add("gas-check-first:" + part.get());
      }
    }
    c.refuseUnknown();
    return signs;
  }

  private static Optional<Rate> finding(
      JsonMembers f, Circuit circuit, List<Look> looks, List<Finding> others, List<String> flags) {
    String check = f.word("check", CHECKS).orElse("");
    Optional<String> state = f.word("state", STATES);
    Optional<Rate> rate = Optional.empty();
    switch (check) {
      case "look" -> look(f, state, looks, others);
      case "drip" -> drip(f, circuit, state.filter("running"::equals).isPresent(), others);
      case "dye" -> dye(f, others);
      case "pressure-test" -> {
        OptionalDouble q = f.required("rate_ml_per_min", Range.RATE);
        OptionalDouble u = f.required("u", Range.RATE_U);
        if (q.isPresent() && u.isPresent()) {
          rate = Optional.of(new Rate(q.getAsDouble(), u.getAsDouble()));
        }
      }
      case "combustion-gas" -> gas(f, looks, flags);
      default -> {
        if (!f.has("check")) {
          f.refuse("check", "nothing", "one of " + String.join(", ", CHECKS));
        }
      }
    }
    f.refuseUnknown();
    return rate;
  }

  private static void look(
      JsonMembers f, Optional<String> state, List<Look> looks, List<Finding> others) {
    String saw = f.word("saw", List.of("dry", "wet", "stained", "not-looked")).orElse("not-looked");
    Optional<String> at = place(f);
    if (at.isEmpty()) {
      return;
    }
    State seen =
        switch (state.orElse("parked")) {
          case "cold-pressure" -> State.PRESSED;
          case "warm", "running" -> State.RUNNING;
          default -> State.PARKED;
        };
    switch (saw) {
      case "dry", "wet" -> looks.add(new Look(at.get(), seen, saw.equals("wet")));
      case "stained" ->
          others.add(Vocabulary.published().check("stain").at("stain", at.get(), true));
      default -> {}
    }
  }

  private static Optional<String> place(JsonMembers f) {
    return known(f, Vocabulary.published().places().stream().map(PlaceFacts::place).toList());
  }

  /** What {@code at} names, among what is known. */
  private static Optional<String> known(JsonMembers f, List<String> known) {
    Optional<String> at = f.text("at");
    if (at.isEmpty()) {
      f.refuse("at", "nothing", "a place");
    } else if (!known.contains(at.get())) {
      f.refuse("at", at.get(), "a place, nearest: " + Nearest.to(at.get(), known));
      return Optional.empty();
    }
    return at;
  }

  private static void drip(JsonMembers f, Circuit circuit, boolean running, List<Finding> others) {
    known(f, Vocabulary.published().words("spot"))
        .flatMap(DripSpot::of)
        .ifPresent(s -> others.add(DripFinding.of(DripTrace.of(circuit, s, running))));
  }

  /** Old glow that has not grown says nothing. */
  private static void dye(JsonMembers f, List<Finding> others) {
    Optional<String> saw = f.word("saw", List.of("new-glow", "grown", "unchanged", "dark"));
    Optional<String> at = place(f);
    if (saw.isPresent() && at.isPresent() && !saw.get().equals("unchanged")) {
      boolean glows = !saw.get().equals("dark");
      others.add(
          Vocabulary.published().check("dye").at(glows ? "glow" : "no-glow", at.get(), glows));
    }
  }

  /** A gas check whose conditions failed says nothing, whatever the colour. */
  private static void gas(JsonMembers f, List<Look> looks, List<String> flags) {
    Optional<String> result = f.word("result", List.of("blue", "yellow", "green"));
    List<String> failed = f.texts("not_counted");
    if (!failed.isEmpty()) {
      flags.add("combustion-gas-does-not-count:" + String.join(",", failed));
    } else {
      result.ifPresent(
          r -> looks.add(new Look("inside.head-gasket", State.RUNNING, !r.equals("blue"))));
    }
  }
}
