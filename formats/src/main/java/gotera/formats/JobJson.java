package gotera.formats;

import gotera.balance.SiteFlow;
import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.Editing;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import gotera.combustion.GasColour;
import gotera.combustion.NotCounted;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.quantity.LeakRate;
import gotera.range.Range;
import gotera.standing.Happened;
import gotera.standing.Visit;
import gotera.suspects.AsNow;
import gotera.suspects.Observation;
import gotera.suspects.PlaceFacts;
import gotera.suspects.Vocabulary;
import gotera.word.Worded;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Reads the part of a job, {@code gotera-job/1}, that suspects are ranked by. Names are those of
 * the {@link Vocabulary}; an unknown one is refused with the nearest known, and so is a place that
 * this vehicle's circuit does not have.
 */
public final class JobJson {
  static final String FORMAT = "gotera-job/1";
  private static final String NOT_LOOKED = "not-looked";
  private static final List<String> CHECKS =
      Stream.concat(
              Stream.of("look", "pressure-test", "combustion-gas", "drip", "dye", "blot", "repair"),
              CheckedJson.CHECKS.stream())
          .toList();

  private final Problems problems = new Problems();
  private final List<Happened<Observation>> observed = new ArrayList<>();

  private JobJson() {}

  /** Reads a job. */
  public static ReadOutcome<JobFile> read(String json) {
    return new JobJson().job(json);
  }

  private ReadOutcome<JobFile> job(String json) {
    Optional<JsonMembers> root = JsonMembers.of(json, problems);
    if (root.isEmpty()) {
      return problems.rejected();
    }
    JsonMembers m = root.get();
    m.format(FORMAT);
    Optional<JsonMembers> vehicle = m.object("vehicle");
    Features features = vehicle.map(JobJson::features).orElse(CircuitPresets.USUAL);
    List<CircuitEdit> edits = vehicle.map(CircuitEditJson::read).orElse(List.of());
    AsNow now = vehicle.flatMap(v -> v.object("as_now")).map(JobJson::asNow).orElse(AsNow.OPEN);
    vehicle.ifPresent(JsonMembers::refuseUnknown);
    Circuit circuit = circuit(features, edits);
    m.object("complaint")
        .ifPresent(c -> ComplaintJson.read(c, circuit).forEach(o -> add(o, Optional.empty())));
    m.elements("findings").forEach(f -> finding(f, circuit, features));
    Visit visit = ProofJson.read(m.object("proof"), observed);
    m.refuseUnknown();
    return problems.isEmpty()
        ? new ReadOutcome.Accepted<>(new JobFile(features, edits, now, visit))
        : problems.rejected();
  }

  private Circuit circuit(Features features, List<CircuitEdit> edits) {
    Circuit circuit = CircuitBuilder.of(features);
    for (int i = 0; i < edits.size(); i++) {
      Editing editing = Editing.apply(circuit, edits.get(i));
      if (editing.problem().isPresent()) {
        problems.add(
            0,
            "vehicle.edits[" + i + "].at",
            edits.get(i).subject(),
            "a change that makes sense here: " + editing.problem().get().name());
      }
      circuit = editing.circuit();
    }
    return circuit;
  }

  private static AsNow asNow(JsonMembers now) {
    boolean shut =
        now.word("heater_valve", List.of("open", "shut")).filter("shut"::equals).isPresent();
    Set<Branch> cutOff = BranchesJson.read(now, "cut_off");
    now.refuseUnknown();
    return new AsNow(cutOff, shut);
  }

  /** What the circuit is built from; the usual where the file says nothing. */
  private static Features features(JsonMembers v) {
    Drive drive = v.choice("energy", Drive.class).orElse(CircuitPresets.USUAL.drive());
    v.number("kilometres", Range.KILOMETRES);
    return v.object("circuit")
        .map(c -> circuit(c, drive))
        .orElse(
            new Features(
                drive,
                CircuitPresets.USUAL.fill(),
                CircuitPresets.USUAL.engine(),
                CircuitPresets.USUAL.orientation(),
                Set.of()));
  }

  private static Features circuit(JsonMembers c, Drive drive) {
    Fill fill = c.choice("fill", Fill.class).orElse(CircuitPresets.USUAL.fill());
    Engine engine = c.choice("engine", Engine.class).orElse(CircuitPresets.USUAL.engine());
    Orientation orientation =
        c.choice("lie", Orientation.class).orElse(CircuitPresets.USUAL.orientation());
    OptionalDouble count = c.number("cylinders", Range.CYLINDER);
    if (count.isPresent() && count.getAsDouble() != Math.rint(count.getAsDouble())) {
      c.refuse("cylinders", String.valueOf(count.getAsDouble()), "a whole number");
    }
    OptionalInt cylinders =
        count.isPresent() ? OptionalInt.of((int) count.getAsDouble()) : OptionalInt.empty();
    Set<Extra> extras = EnumSet.noneOf(Extra.class);
    for (String word : c.texts("features")) {
      c.known("features", word, Worded.words(Extra.class), "a feature")
          .flatMap(w -> Worded.of(Extra.class, w))
          .ifPresent(extras::add);
    }
    c.refuseUnknown();
    return new Features(drive, fill, engine, orientation, cylinders, extras);
  }

  private void finding(JsonMembers f, Circuit circuit, Features features) {
    String check = f.word("check", CHECKS).orElse("");
    Optional<? extends Observation> read =
        switch (check) {
          case "look" -> look(f, circuit);
          case "drip" -> drip(f, circuit);
          case "dye" -> dye(f, circuit);
          case "blot" -> blot(f, circuit);
          case "pressure-test" -> HeldJson.read(f);
          case "combustion-gas" -> gas(f, features);
          case "repair" -> repaired(f, circuit);
          case "" -> Optional.empty();
          default -> CheckedJson.read(check, f, circuit, features);
        };
    if (!f.has("check")) {
      f.refuse("check", "nothing", "one of " + String.join(", ", CHECKS));
    }
    Optional<Instant> at = ProofJson.happened(f);
    read.ifPresent(o -> add(o, at));
    f.refuseUnknown();
  }

  /** What does not say when it happened comes after what stands before it in the file. */
  private void add(Observation o, Optional<Instant> at) {
    observed.add(
        new Happened<>(
            at.orElseGet(
                () ->
                    observed.stream()
                        .map(Happened::at)
                        .max(Comparator.naturalOrder())
                        .map(last -> last.plus(Visit.STEP))
                        .orElse(Instant.EPOCH)),
            o));
  }

  private static Optional<Observation> look(JsonMembers f, Circuit circuit) {
    List<String> sights = new ArrayList<>(Worded.words(Sight.class));
    sights.add(NOT_LOOKED);
    Optional<String> saw = f.word("saw", sights);
    Optional<LookState> state = f.choice("state", LookState.class);
    Optional<String> at = place(f, circuit);
    OptionalDouble gauge = f.number("at_kpa", Range.PRESSED);
    Optional<SiteFlow> counted = counted(f, gauge);
    boolean dried = f.flag("dried_before", false);
    String removed = f.text("removed").orElse("");
    return at.flatMap(
        place ->
            saw.flatMap(s -> Worded.of(Sight.class, s))
                .map(
                    s ->
                        new Observation.Looked(
                            place,
                            state.orElse(LookState.PARKED),
                            s,
                            gauge,
                            counted,
                            dried,
                            removed)));
  }

  private static Optional<SiteFlow> counted(JsonMembers f, OptionalDouble gauge) {
    OptionalDouble drops = f.number("drops_per_min", Range.DROPS);
    if (!f.has("ml_per_min")) {
      return Observation.Looked.drops(drops, gauge);
    }
    OptionalDouble rate = f.number("ml_per_min", Range.SITE_RATE);
    OptionalDouble u = f.required("u", Range.RATE_U);
    return rate.isEmpty() || u.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new SiteFlow.Metered(
                new LeakRate(rate.getAsDouble()),
                u.getAsDouble(),
                Observation.Looked.pressure(gauge)));
  }

  /** The place that a finding is at. */
  static Optional<String> place(JsonMembers f, Circuit circuit) {
    List<String> places =
        Vocabulary.published().places(circuit).stream().map(PlaceFacts::place).toList();
    return f.requiredText("at", "a place").flatMap(p -> f.known("at", p, places, "a place"));
  }

  private static Optional<Observation> repaired(JsonMembers f, Circuit circuit) {
    return f.has("at")
        ? place(f, circuit).map(Observation.Repaired::new)
        : Optional.of(new Observation.Repaired());
  }

  private static Optional<Observation> drip(JsonMembers f, Circuit circuit) {
    LookState state = f.choice("state", LookState.class).orElse(LookState.COLD);
    List<String> spots = DripSpot.in(circuit).stream().map(DripSpot::word).toList();
    return f.requiredText("at", "a spot")
        .flatMap(p -> f.known("at", p, spots, "a spot"))
        .flatMap(w -> Worded.of(DripSpot.class, w))
        .map(s -> new Observation.Dripped(s, state));
  }

  private static Optional<Observation> dye(JsonMembers f, Circuit circuit) {
    Optional<Glow> glow = f.choice("saw", Glow.class);
    List<String> places = new ArrayList<>(Vocabulary.published().words("place"));
    places.removeIf(p -> Vocabulary.published().place(p).isPresent() && !isPlace(p, circuit));
    circuit.joints().stream()
        .map(Circuit.Joint::code)
        .filter(j -> !places.contains(j))
        .forEach(places::add);
    return f.requiredText("at", "a place")
        .flatMap(p -> f.known("at", p, places, "a place"))
        .flatMap(p -> glow.map(g -> new Observation.Scanned(p, g)));
  }

  private static Optional<Observation> blot(JsonMembers f, Circuit circuit) {
    Optional<String> saw = f.word("saw", List.of("damp", "dry"));
    return place(f, circuit)
        .flatMap(p -> saw.map(s -> new Observation.Blotted(p, s.equals("damp"))));
  }

  private static boolean isPlace(String place, Circuit circuit) {
    return Vocabulary.published().places(circuit).stream().anyMatch(p -> p.place().equals(place));
  }

  /**
   * Petrol turns the fluid yellow, diesel green; a colour that this fuel cannot give is refused.
   */
  private static Optional<Observation> gas(JsonMembers f, Features features) {
    CheckedJson.burns(f, features, "combustion-gas");
    Optional<GasColour> result = f.choice("result", GasColour.class);
    GasColour never = features.drive() == Drive.DIESEL ? GasColour.YELLOW : GasColour.GREEN;
    if (result.filter(r -> r == never).isPresent()) {
      f.refuse("result", never.word(), "a colour that " + features.drive().word() + " gives");
    }
    List<String> failed = f.choices("not_counted", NotCounted.class, "a reason");
    return result.map(r -> new Observation.GasChecked(r, failed));
  }
}
