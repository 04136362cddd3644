package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.combustion.GasColour;
import gotera.dye.Glow;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Scope;
import gotera.suspects.Observation.Sign;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws that hold whatever was found before, on any vehicle that burns something. */
class LawsTests {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  static Stream<Random> generators() {
    return Seeds.of(Seeds.cases(10, 60));
  }

  @ParameterizedTest
  @MethodSource("generators")
  void theOrderOfFindingsMovesNothing(Random random) {
    Circuit circuit = circuit(random);
    List<Observation> some = distinct(random, circuit);
    List<Observation> other = new ArrayList<>(some);
    Collections.shuffle(other, random);
    for (String place : places(circuit)) {
      Close.to(place, p(circuit, other, place), p(circuit, some, place), 1e-9);
    }
  }

  @ParameterizedTest
  @MethodSource("generators")
  void aWetLookRaisesItsPlaceAndADryOneLowersIt(Random random) {
    Circuit circuit = circuit(random);
    List<Observation> some = some(random, circuit);
    String place = joint(random, circuit);
    LookState state = one(random, LookState.values());
    double before = p(circuit, some, place);
    // what was seen in this state before is replaced: the law is about a first look
    some.removeIf(o -> o instanceof Looked l && l.place().equals(place));
    double without = p(circuit, some, place);
    for (boolean dried : new boolean[] {false, true}) {
      double wet = p(circuit, with(some, look(place, state, Sight.WET, dried)), place);
      double dry = p(circuit, with(some, look(place, state, Sight.DRY, dried)), place);
      assertThat(wet).as("wet %s %s", place, state).isGreaterThanOrEqualTo(without - 1e-9);
      assertThat(dry).as("dry %s %s", place, state).isLessThanOrEqualTo(without + 1e-9);
    }
    assertThat(before).isBetween(0.0, 1.0);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void aSightingAfterDryingSaysMoreThanOneWithout(Random random) {
    Circuit circuit = circuit(random);
    String place = joint(random, circuit);
    List<Observation> wet = List.of(look(place, LookState.RUNNING, Sight.WET, false));
    List<Observation> bead = List.of(look(place, LookState.RUNNING, Sight.WET, true));
    assertThat(p(circuit, bead, place)).isGreaterThan(p(circuit, wet, place));
  }

  @ParameterizedTest
  @MethodSource("generators")
  void whatDoesNotCountMovesNothing(Random random) {
    Circuit circuit = circuit(random);
    List<Observation> some = some(random, circuit);
    // it stands first, so that it is not the newest of anything
    List<Observation> nothing =
        List.of(
            new GasChecked(GasColour.BLUE, List.of("coolant-drawn-in")),
            new Checked.Bubbled(Checked.Bubbles.GAS_ENTERING, NONE, List.of("not-warm")),
            new Checked.Bubbled(Checked.Bubbles.AIR_LEAVING, NONE, List.of()),
            new Scanned(joint(random, circuit), Glow.OLD),
            look("pump.of-another-vehicle", LookState.COLD, Sight.WET, false));
    for (Observation o : nothing) {
      List<Observation> all = new ArrayList<>(List.of(o));
      all.addAll(some);
      for (String place : places(circuit)) {
        Close.to(o + " " + place, p(circuit, all, place), p(circuit, some, place), 1e-12);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("generators")
  void whatIsTakenBackLeavesNothingBehindAndTheSameTwiceCountsOnce(Random random) {
    Circuit circuit = circuit(random);
    List<Observation> some = distinct(random, circuit);
    if (some.isEmpty()) {
      return;
    }
    Observation twice = some.get(random.nextInt(some.size()));
    String place = joint(random, circuit);
    Close.to("twice", p(circuit, with(some, twice), place), p(circuit, some, place), 1e-9);
    List<Observation> less = new ArrayList<>(some);
    less.remove(twice);
    Close.to("and back", p(circuit, with(less, twice), place), p(circuit, some, place), 1e-9);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void noRateCrashesOrDecidesAlone(Random random) {
    Circuit circuit = circuit(random);
    for (double q : new double[] {-1e3, -1, 0, 1e-6, 1, 1e5}) {
      for (double u : new double[] {1e-6, 0.05, 1e3}) {
        for (boolean hot : new boolean[] {false, true}) {
          List<Observation> all = with(some(random, circuit), held(q, u, hot));
          Assessment a = Assessment.of(new Case(circuit, all, false));
          assertThat(a.nothingLeaks()).isBetween(0.0, 1.0);
          assertThat(a.suspects()).allMatch(s -> s.probability() >= 0 && s.probability() <= 1);
          assertThat(a.next())
              .allMatch(
                  n -> n.minutes() > 0 && n.bits() >= 0 || n.what() instanceof Action.OfTheWhole);
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("generators")
  void whatTheTesterReplacesIsNeitherClearedNorBlamedByPressure(Random random) {
    Circuit circuit = CircuitBuilder.of(CircuitPresets.USUAL);
    double before = p(circuit, List.of(), "cap.neck");
    for (Sight saw : List.of(Sight.WET, Sight.DRY)) {
      List<Observation> look =
          List.of(look("cap.neck", LookState.PRESSED, saw, random.nextBoolean()));
      Close.to("cap " + saw, p(circuit, look, "cap.neck"), before, 1e-9);
    }
    double tight = p(circuit, List.of(held(0, 0.02, false)), "cap.neck");
    assertThat(tight).as("a tight hold").isGreaterThanOrEqualTo(before);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void theLargerTheComplaintTheMoreWhatTheHoldDidNotExercise(Random random) {
    Circuit circuit = CircuitBuilder.of(CircuitPresets.USUAL);
    double before = 0;
    for (double loss : new double[] {1, 20, 100, 500, 3000}) {
      Observation told = new Told.Loss(loss, OptionalDouble.of(Seeds.between(random, 5.9, 6)));
      double shaft = p(circuit, List.of(told, held(0.05, 0.02, false)), "pump.shaft-seal");
      assertThat(shaft).isGreaterThanOrEqualTo(before - 1e-3);
      before = shaft;
    }
  }

  /** Clamping a branch off is how a find in it is confirmed: it raises it, whatever came before. */
  @ParameterizedTest
  @MethodSource("generators")
  void confirmingByCuttingOffRaises(Random random) {
    Circuit circuit = CircuitBuilder.of(CircuitPresets.USUAL);
    List<String> heater =
        circuit.joints().stream()
            .filter(j -> j.branch() == Branch.HEATER)
            .map(Circuit.Joint::code)
            .toList();
    String place = heater.get(random.nextInt(heater.size()));
    List<Observation> seen =
        List.of(held(0.8, 0.03, false), look(place, LookState.PRESSED, Sight.WET, true));
    Scope without = new Scope("", false, java.util.Set.of(Branch.HEATER), false);
    Held cut =
        new Held(
            VerdictKind.TIGHT,
            new Outcome.Rate(0.01, 0.03, LeakLaw.SEEP),
            110,
            without,
            false,
            List.of());
    double before = p(circuit, seen, place);
    assertThat(before).isGreaterThan(0.5);
    assertThat(p(circuit, with(seen, cut), place)).as(place).isGreaterThanOrEqualTo(before - 0.01);
    // another branch is no better for it
    double other = p(circuit, List.of(held(0.8, 0.03, false)), "radiator.core");
    assertThat(p(circuit, List.of(held(0.8, 0.03, false), cut), "radiator.core")).isLessThan(other);
  }

  /** The same wet told in five states and on paper is one sighting. */
  @ParameterizedTest
  @MethodSource("generators")
  void oneTrackIsOneSighting(Random random) {
    Circuit circuit = circuit(random);
    String place = joint(random, circuit);
    List<Observation> told = new ArrayList<>();
    for (LookState state : LookState.values()) {
      told.add(look(place, state, Sight.WET, false));
    }
    told.add(new Observation.Blotted(place, true));
    double once = p(circuit, told.subList(2, 3), place);
    double all = p(circuit, told, place);
    assertThat(all).as("%s: %s, once %s", place, all, once).isBetween(once - 0.06, 0.97);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void moreDropsNeverRaiseThatNothingLeaks(Random random) {
    Circuit circuit = circuit(random);
    List<Observation> some = distinct(random, circuit);
    String place = joint(random, circuit);
    double before = 1;
    for (double drops : new double[] {0, 2, 10, 60}) {
      Looked look =
          new Looked(
              place,
              LookState.PRESSED,
              drops > 0 ? Sight.WET : Sight.DRY,
              OptionalDouble.of(100),
              drops > 0 ? OptionalDouble.of(drops) : NONE);
      double nothing = Assessment.of(new Case(circuit, with(some, look), false)).nothingLeaks();
      assertThat(nothing).as("%s drops at %s", drops, place).isLessThanOrEqualTo(before + 1e-6);
      before = drops > 0 ? Math.min(before, 1) : before;
    }
  }

  /** What was only told condemns no place. */
  @ParameterizedTest
  @MethodSource("generators")
  void nothingIsAllButCertainWithoutASighting(Random random) {
    Circuit circuit = circuit(random);
    List<Observation> told = new ArrayList<>();
    for (RegionFacts sign : Vocabulary.published().signs()) {
      if (random.nextInt(6) == 0) {
        told.add(new Sign(sign.name()));
      }
    }
    told.add(held(Seeds.between(random, 0, 3), 0.05, random.nextBoolean()));
    Assessment a = Assessment.of(new Case(circuit, told, false));
    assertThat(a.found()).as("%s", told).isEmpty();
  }

  private static Looked look(String place, LookState state, Sight saw, boolean dried) {
    Looked look = new Looked(place, state, saw, NONE, NONE);
    return dried ? look.dried() : look;
  }

  private static Held held(double q, double u, boolean hot) {
    VerdictKind kind = q > 2 * u ? VerdictKind.LEAK : VerdictKind.NOT_PROVEN;
    Scope scope = new Scope("", hot, java.util.Set.of(), false);
    return new Held(kind, new Outcome.Rate(q, u, LeakLaw.SEEP), 110, scope, false, List.of());
  }

  private static List<Observation> with(List<Observation> some, Observation one) {
    List<Observation> all = new ArrayList<>(some);
    all.add(one);
    return all;
  }

  private static double p(Circuit circuit, List<Observation> observed, String place) {
    return known(circuit, observed).marginal(place);
  }

  private static gotera.evidence.Posterior known(Circuit circuit, List<Observation> observed) {
    Case of = new Case(circuit, observed, false);
    return gotera.evidence.Posterior.of(
        of.places().stream().map(PlaceFacts::hypothesis).toList(), CaseEvidence.of(of));
  }

  private static List<String> places(Circuit circuit) {
    return Vocabulary.published().places(circuit).stream()
        .map(PlaceFacts::place)
        .filter(p -> p.hashCode() % 5 == 0)
        .toList();
  }

  private static Circuit circuit(Random random) {
    List<CircuitPresets.Preset> all =
        CircuitPresets.all().stream().filter(p -> !p.code().startsWith("electric")).toList();
    return CircuitBuilder.of(all.get(random.nextInt(all.size())).features());
  }

  private static String joint(Random random, Circuit circuit) {
    return circuit.joints().get(random.nextInt(circuit.joints().size())).code();
  }

  private static List<Observation> some(Random random, Circuit circuit) {
    List<Observation> some = new ArrayList<>();
    for (int i = random.nextInt(10); i > 0; i--) {
      some.add(any(random, circuit));
    }
    return some;
  }

  /** No two of them about the same thing: of those the newer counts, and order matters. */
  private static List<Observation> distinct(Random random, Circuit circuit) {
    List<Observation> some = some(random, circuit);
    List<Observation> once = new ArrayList<>();
    for (Observation o : some) {
      if (once.stream().noneMatch(other -> other.getClass() == o.getClass() && alike(other, o))) {
        once.add(o);
      }
    }
    return once;
  }

  private static boolean alike(Observation one, Observation other) {
    return !(one instanceof Observation.AtPlace a
        && other instanceof Observation.AtPlace b
        && !a.place().equals(b.place()));
  }

  private static Observation any(Random random, Circuit circuit) {
    String place = joint(random, circuit);
    return switch (random.nextInt(8)) {
      case 0 -> new Sign(one(random, "puddle-overnight", "loss-while-running", "white-smoke"));
      case 1 ->
          new Dripped(
              one(random, DripSpot.in(circuit).toArray(new DripSpot[0])),
              one(random, LookState.values()));
      case 2 -> new Scanned(place, one(random, Glow.NEW_GLOW, Glow.DARK, Glow.UNSCANNED));
      case 3 -> held(Seeds.between(random, -0.1, 2), 0.05, random.nextBoolean());
      case 4 -> new Checked.Felt(place, one(random, Condition.values()));
      case 5 -> new InCylinder(1, random.nextBoolean(), NONE, NONE, false);
      default ->
          look(
              place,
              one(random, LookState.values()),
              one(random, Sight.WET, Sight.DRY, Sight.STAINED),
              random.nextBoolean());
    };
  }

  @SafeVarargs
  private static <T> T one(Random random, T... of) {
    return of[random.nextInt(of.length)];
  }
}
