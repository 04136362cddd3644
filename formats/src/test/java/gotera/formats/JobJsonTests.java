package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.balance.SiteFlow;
import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.Editing;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.combustion.GasColour;
import gotera.dye.Glow;
import gotera.formats.ReadOutcome.Accepted;
import gotera.formats.ReadOutcome.Rejected;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Volume;
import gotera.suspects.AsNow;
import gotera.suspects.Assessment;
import gotera.suspects.Checked;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.PlaceFacts;
import gotera.suspects.Told;
import gotera.suspects.Vocabulary;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class JobJsonTests {
  static Stream<Random> generators() {
    return Seeds.of(200);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void whatIsWrittenIsReadBackAndRankedAlike(Random random) {
    JobFile job = any(random);
    String json = JobWriter.write(job);
    assertThat(JobJson.read(json)).as(json).isEqualTo(new Accepted<>(job));
    assertThat(Assessment.of(read(json).job()).suspects())
        .isEqualTo(Assessment.of(job.job()).suspects());
  }

  @Nested
  class Refused {
    @Test
    void aPlaceThatThisVehicleDoesNotHave() {
      assertThat(problem("{\"check\":\"look\",\"at\":\"rear-heater-core.tubes\",\"saw\":\"dry\"}"))
          .contains("findings[0].at")
          .contains("rear-heater-core.tubes");
    }

    @Test
    void aCheckWithoutItsName() {
      assertThat(problem("{\"at\":\"cap.neck\"}")).contains("findings[0].check");
    }

    @Test
    void aChangeThatMakesNoSense() {
      String json =
          "{\"format\":\"gotera-job/1\",\"vehicle\":{\"edits\":[{\"edit\":\"remove-joint\",\"at\":\"nowhere\"}]}}";
      assertThat(problems(json)).contains("vehicle.edits[0].at").contains("nowhere");
    }

    @Test
    void aGrossLeakThatLosesNothing() {
      for (String least : List.of("0", "-5", "1e300")) {
        assertThat(problem("{\"check\":\"pressure-test\",\"at_least_ml_per_min\":" + least + "}"))
            .contains("findings[0].at_least_ml_per_min");
      }
    }

    @Test
    void whatThisVehicleCannotHaveOrGive() {
      String diesel =
          "{\"format\":\"gotera-job/1\",\"vehicle\":{\"energy\":\"diesel\"},\"findings\":[";
      assertThat(problems(diesel + "{\"check\":\"combustion-gas\",\"result\":\"yellow\"}]}"))
          .contains("findings[0].result")
          .contains("diesel");
      String electric =
          "{\"format\":\"gotera-job/1\",\"vehicle\":{\"energy\":\"electric\"},\"findings\":[";
      for (String check :
          List.of(
              "{\"check\":\"combustion-gas\",\"result\":\"blue\"}",
              "{\"check\":\"bubbles\",\"result\":\"quiet\"}",
              "{\"check\":\"cylinder\",\"at\":\"cylinder-1\",\"saw\":\"wet\"}",
              "{\"check\":\"fluid\",\"at\":\"dipstick\",\"saw\":\"clean\"}")) {
        assertThat(problems(electric + check + "]}")).as(check).contains("findings[0].check");
      }
    }

    @Test
    void aCheckOfTheInsideThatSaysNothing() {
      assertThat(problem("{\"check\":\"condition\",\"at\":\"cap.neck\"}")).contains("saw");
      assertThat(problem("{\"check\":\"cylinder\",\"at\":\"cylinder-99\",\"saw\":\"wet\"}"))
          .contains("findings[0].at");
      assertThat(problem("{\"check\":\"two-temperatures\",\"upper_c\":90}"))
          .contains("lower_c")
          .contains("idling_min");
      assertThat(problem("{\"check\":\"level-watch\",\"lost_ml\":1,\"days\":0,\"hot_hours\":2}"))
          .contains("days");
      assertThat(
              problem("{\"check\":\"look\",\"at\":\"cap.neck\",\"saw\":\"wet\",\"ml_per_min\":2}"))
          .contains("findings[0].u");
    }

    @Test
    void aFileThatDoesNotSayItsFormat() {
      assertThat(problems("{\"findings\":[]}")).contains("format").contains("gotera-job/1");
    }

    @Test
    void aMemberThatIsThereTwice() {
      assertThat(problem("{\"check\":\"hiss\",\"saw\":\"inward\",\"saw\":\"outward\"}"))
          .contains("twice");
    }

    @Test
    void aReasonThatNoCheckHas() {
      assertThat(
              problem(
                  "{\"check\":\"combustion-gas\",\"result\":\"blue\",\"not_counted\":[\"cold\"]}"))
          .contains("findings[0].not_counted")
          .contains("engine-cold");
      assertThat(problem("{\"check\":\"bubbles\",\"result\":\"quiet\",\"not_counted\":[\"?\"]}"))
          .contains("findings[0].not_counted");
    }

    @Test
    void moreHotHoursThanTheDaysHave() {
      assertThat(
              problem(
                  "{\"check\":\"level-watch\",\"lost_ml\":1,\"days\":1,\"hot_hours\":1000,\"u\":5}"))
          .contains("findings[0].hot_hours")
          .contains("24");
    }

    /** The name is told by what people call the thing. */
    @Test
    void anotherWordForAPlaceFindsItsName() {
      assertThat(problem("{\"check\":\"look\",\"at\":\"weep hole\",\"saw\":\"dry\"}"))
          .contains("pump.shaft-seal");
    }

    @Test
    void aWordWithoutEndIsRefusedAndNotRepeated() {
      String word = "x".repeat(2_000_000);
      assertThat(problem("{\"check\":\"look\",\"at\":\"" + word + "\",\"saw\":\"dry\"}"))
          .hasSizeLessThan(1000);
    }

    @Test
    void aLookWithoutAPlace() {
      assertThat(problem("{\"check\":\"look\",\"saw\":\"dry\"}")).contains("findings[0].at");
    }

    private static String problem(String finding) {
      return problems("{\"format\":\"gotera-job/1\",\"findings\":[" + finding + "]}");
    }

    private static String problems(String json) {
      ReadOutcome<JobFile> read = JobJson.read(json);
      assertThat(read).isInstanceOf(Rejected.class);
      return ((Rejected<JobFile>) read).problems().toString();
    }
  }

  @Test
  void aHoldThatNamesNoVerdictIsALeakAboveItsNoise() {
    assertThat(held("\"rate_ml_per_min\":0.8,\"u\":0.1").verdict()).isEqualTo(VerdictKind.LEAK);
    assertThat(held("\"rate_ml_per_min\":0.1,\"u\":0.1").verdict())
        .isEqualTo(VerdictKind.NOT_PROVEN);
    assertThat(held("\"verdict\":\"not-counted\"").outcome()).isEqualTo(new Outcome.Nothing());
    assertThat(held("\"verdict\":\"gross\",\"at_least_ml_per_min\":40").outcome())
        .isEqualTo(new Outcome.AtLeast(40));
  }

  private static Held held(String members) {
    String json =
        "{\"format\":\"gotera-job/1\",\"findings\":[{\"check\":\"pressure-test\","
            + members
            + "}]}";
    return read(json).job().held().orElseThrow();
  }

  private static JobFile read(String json) {
    ReadOutcome<JobFile> read = JobJson.read(json);
    assertThat(read).as(json).isInstanceOf(Accepted.class);
    return ((Accepted<JobFile>) read).value();
  }

  static JobFile any(Random random) {
    List<CircuitPresets.Preset> presets = CircuitPresets.all();
    Features features = presets.get(random.nextInt(presets.size())).features();
    List<CircuitEdit> edits = edits(random, CircuitBuilder.of(features));
    Circuit circuit = Editing.all(CircuitBuilder.of(features), edits);
    List<Observation> observed = new ArrayList<>();
    // the file tells the complaint before the findings, and of it in this order
    told(random, circuit).stream().filter(o -> random.nextBoolean()).forEach(observed::add);
    for (int i = random.nextInt(12); i > 0; i--) {
      observed.add(finding(random, circuit, features.drive()));
    }
    AsNow now =
        new AsNow(
            random.nextBoolean() ? Set.of() : Set.of(one(random, Branch.values())),
            random.nextBoolean());
    return new JobFile(features, edits, now, observed);
  }

  private static List<Observation> told(Random random, Circuit circuit) {
    return List.of(
        new Observation.Sign("puddle-overnight"),
        new Told.Loss(Seeds.between(random, 1, 5000), maybe(random, 1, 60)),
        new Told.Puddle(one(random, DripSpot.in(circuit).toArray(new DripSpot[0]))),
        new Told.Ground(one(random, Told.Surface.values())),
        new Told.Trips(one(random, Told.Length.values())),
        new Observation.Replaced("pump", random.nextInt(900)));
  }

  private static List<CircuitEdit> edits(Random random, Circuit circuit) {
    String joint = circuit.joints().get(random.nextInt(circuit.joints().size())).code();
    String part = circuit.parts().get(random.nextInt(circuit.parts().size())).code();
    List<CircuitEdit> possible =
        List.of(
            new CircuitEdit.Rename(joint, "Another name"),
            new CircuitEdit.AddJoint(
                "added-1", "Sensor", part, one(random, CircuitEdit.Spot.values()), Fastening.SCREW),
            new CircuitEdit.RemoveJoint(joint));
    List<CircuitEdit> edits = new ArrayList<>();
    Circuit now = circuit;
    for (CircuitEdit edit : possible) {
      Editing editing = Editing.apply(now, edit);
      if (random.nextInt(3) == 0 && editing.problem().isEmpty()) {
        edits.add(edit);
        now = editing.circuit();
      }
    }
    return edits;
  }

  private static Observation checked(Random random, String place, Features.Drive drive) {
    List<Observation> any =
        List.of(
            new Checked.Felt(place, one(random, Condition.values())),
            new Checked.TwoTemperatures(
                Seeds.between(random, 0, 110), Seeds.between(random, 0, 110), random.nextInt(60)),
            new Checked.Hissed(one(random, Checked.Hiss.values()), maybe(random, 0, 90)),
            new Checked.LevelWatched(
                Seeds.between(random, -5, 500), random.nextInt(40) + 1, 12, 5));
    List<Observation> burning =
        List.of(
            new Checked.Bubbled(
                one(random, Checked.Bubbles.values()),
                maybe(random, 0.1, 20),
                random.nextBoolean() ? List.of() : List.of("not-warm")),
            new Checked.InCylinder(
                random.nextInt(8) + 1,
                random.nextBoolean(),
                maybe(random, 0, 60),
                maybe(random, 1, 30),
                random.nextBoolean()),
            new Checked.FluidSeen(
                one(random, Checked.Fluid.values()), one(random, Checked.Look.values())));
    boolean burns = drive != Features.Drive.ELECTRIC && random.nextBoolean();
    List<Observation> of = burns ? burning : any;
    return of.get(random.nextInt(of.size()));
  }

  private static Observation gas(Random random, Features.Drive drive) {
    GasColour turned = drive == Features.Drive.DIESEL ? GasColour.GREEN : GasColour.YELLOW;
    return new Observation.GasChecked(random.nextBoolean() ? GasColour.BLUE : turned, List.of());
  }

  private static Observation finding(Random random, Circuit circuit, Features.Drive drive) {
    List<PlaceFacts> places = Vocabulary.published().places(circuit);
    String place = places.get(random.nextInt(places.size())).place();
    boolean joint = circuit.joint(place).isPresent();
    return switch (random.nextInt(10)) {
      case 0 ->
          new Observation.Dripped(
              one(random, DripSpot.in(circuit).toArray(new DripSpot[0])),
              one(random, LookState.values()));
      case 1 ->
          new Observation.Scanned(joint ? place : "elsewhere.front", one(random, Glow.values()));
      case 2 -> drive == Features.Drive.ELECTRIC ? new Observation.Repaired() : gas(random, drive);
      case 3 -> new Observation.Repaired();
      case 4 -> held(random);
      case 5 -> new Observation.Blotted(place, random.nextBoolean());
      case 6, 7 -> checked(random, place, drive);
      default ->
          new Observation.Looked(
              place,
              one(random, LookState.values()),
              one(random, Sight.values()),
              maybe(random, 0, 200),
              Optional.empty(),
              random.nextBoolean(),
              random.nextBoolean() ? "" : "splash guard");
    };
  }

  private static Held held(Random random) {
    Outcome outcome =
        switch (random.nextInt(3)) {
          case 0 -> new Outcome.AtLeast(Seeds.between(random, 1, 500));
          case 1 ->
              new Outcome.Rate(
                  Seeds.between(random, -1, 5),
                  Seeds.between(random, 0.001, 1),
                  one(random, LeakLaw.values()));
          default -> new Outcome.Nothing();
        };
    List<SiteFlow> caught =
        random.nextBoolean()
            ? List.of()
            : List.of(new SiteFlow.Caught(new Volume(12.5), 20, 0.05, Optional.empty()));
    return new Held(
        one(random, VerdictKind.values()),
        outcome,
        Seeds.between(random, 50, 200),
        new Observation.Scope(
            random.nextBoolean() ? "" : "drive",
            random.nextBoolean(),
            random.nextBoolean() ? Set.of() : Set.of(Branch.HEATER, Branch.TANK),
            random.nextBoolean()),
        random.nextBoolean(),
        caught);
  }

  private static OptionalDouble maybe(Random random, double low, double high) {
    return random.nextBoolean()
        ? OptionalDouble.empty()
        : OptionalDouble.of(Seeds.between(random, low, high));
  }

  @SafeVarargs
  private static <T> T one(Random random, T... of) {
    return of[random.nextInt(of.length)];
  }
}
