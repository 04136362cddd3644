package gotera.decide;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.combustion.GasColour;
import gotera.decide.Decision.Option;
import gotera.decide.Shop.Price;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Sign;
import gotera.suspects.PlaceFacts;
import gotera.suspects.Vocabulary;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class DecisionTests {
  private static final Circuit CIRCUIT = CircuitBuilder.of(CircuitPresets.USUAL);
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final String END = "lower-hose.radiator-end";
  private static final Shop SHOP = new Shop(80, 0.4, 240, prices());

  private static Map<String, Price> prices() {
    Map<String, Price> prices = new HashMap<>();
    for (RepairKind kind : RepairKind.values()) {
      prices.put(kind.word(), price(30));
    }
    prices.put("clamp", price(4));
    prices.put("hose", price(35));
    prices.put("radiator", price(260));
    prices.put("pump", price(120));
    return prices;
  }

  private static Price price(double parts) {
    return new Price(OptionalDouble.of(parts), NONE, NONE, "");
  }

  private static Decision of(Observation... observed) {
    return Decision.of(Assessment.of(new Case(CIRCUIT, List.of(observed), false)), SHOP);
  }

  private static Looked wet(String place, OptionalDouble drops) {
    return new Looked(place, LookState.PRESSED, Sight.WET, NONE, drops).dried();
  }

  private static List<String> first(Decision decision) {
    return decision.ways().get(0).bundles().get(0).repairs().stream().map(Repair::name).toList();
  }

  @Test
  void aRustedClampComesBeforeTheHoseAndTheHoseBeforeTheRadiator() {
    Decision decision = of(wet(END, NONE), new Felt(END, Condition.CLAMP_RUSTED));
    assertThat(first(decision)).containsExactly("clamp " + END);
    List<String> order =
        decision.ways().get(0).bundles().stream()
            .flatMap(b -> b.repairs().stream().map(Repair::name))
            .toList();
    assertThat(order).contains("hose lower-hose");
    if (order.contains("radiator radiator")) {
      assertThat(order.indexOf("hose lower-hose")).isLessThan(order.indexOf("radiator radiator"));
    }
    double fixed = decision.ways().get(0).bundles().get(0).fixed();
    assertThat(fixed).isGreaterThan(0.65);
  }

  @Test
  void aHoseThatSplitsIsRenewedAndNotItsClamp() {
    Decision decision = of(wet(END, NONE), new Felt(END, Condition.SPLIT_WHEN_PUSHED));
    assertThat(first(decision)).contains("hose lower-hose");
  }

  @Test
  void aPlaceWhoseFlowWasMeasuredLeaksForCertain() {
    Decision decision = of(wet("pump.shaft-seal", OptionalDouble.of(6)));
    assertThat(first(decision)).contains("pump pump");
    assertThat(decision.faults().keySet())
        .allSatisfy(set -> assertThat(set).contains("pump.shaft-seal"));
  }

  @Test
  void theWaysDifferAndTheCheapestComesFirst() {
    Decision decision = of(wet(END, NONE), new Sign("puddle-overnight"));
    List<RepairOrder> ways = decision.ways();
    assertThat(ways).hasSizeGreaterThan(1);
    for (int i = 1; i < ways.size(); i++) {
      assertThat(ways.get(i).cost()).isGreaterThanOrEqualTo(ways.get(i - 1).cost() - 1e-9);
    }
    assertThat(ways).doesNotHaveDuplicates();
  }

  /** Every place that can leak has a repair, but for what is no place to put a hand to. */
  @Test
  void everyPlaceCanBeRepaired() {
    for (PlaceFacts facts : Vocabulary.published().places()) {
      String place = facts.place();
      if (!place.startsWith("elsewhere.")) {
        assertThat(RepairKind.mending(place)).as(place).isNotEmpty();
      }
    }
    assertThat(RepairKind.mending("elsewhere.front")).isEmpty();
    assertThat(RepairKind.mending("rear-heater-supply.tee"))
        .containsExactly(RepairKind.CLAMP, RepairKind.HOSE);
    assertThat(RepairKind.mending("upper-hose.along")).containsExactly(RepairKind.HOSE);
  }

  @Test
  void aRepairThatMendsPlacesOfSeveralPartsIsOfferedOnce() {
    Decision decision =
        of(new GasChecked(GasColour.YELLOW, List.of()), new InCylinder(2, true, NONE, NONE, false));
    assertThat(decision.found()).isNotEmpty().allMatch(p -> p.startsWith("inside."));
    assertThat(decision.repairs())
        .filteredOn(o -> o.kind() == RepairKind.HEAD_GASKET)
        .singleElement()
        .satisfies(o -> assertThat(o.repair().fixes()).containsAll(decision.found()));
  }

  /** Two places found, others under suspicion: only the two are repaired, and nothing is left. */
  @Test
  void onlyWhatIsFoundIsRepaired() {
    Decision decision =
        of(
            new Sign("drip-front"),
            wet("upper-hose.housing-end", OptionalDouble.of(3)),
            wet("pump.shaft-seal", OptionalDouble.of(8)));
    assertThat(decision.found())
        .containsExactlyInAnyOrder("upper-hose.housing-end", "pump.shaft-seal");
    assertThat(decision.repairs())
        .extracting(Option::kind)
        .containsOnly(RepairKind.CLAMP, RepairKind.HOSE, RepairKind.PUMP);
    for (RepairOrder way : decision.ways()) {
      Close.to("nothing is left", way.unsolved(), 0, 1e-9);
    }
    assertThat(of(new Sign("drip-front")).found()).as("nothing was seen yet").isEmpty();
  }

  /** Neighbours go by what is drained and off; another suspect is none, nor what is not there. */
  @Test
  void neighboursAreReachedAndNotSuspected() {
    Decision pump = of(wet("pump.shaft-seal", OptionalDouble.of(8)), new Sign("sweet-smell-cabin"));
    assertThat(pump.neighbours())
        .extracting(Option::kind)
        .contains(RepairKind.BELT, RepairKind.THERMOSTAT, RepairKind.CAP)
        .doesNotContain(RepairKind.HEATER_CORE, RepairKind.TIMING_SET, RepairKind.PUMP);
    Decision radiator = of(wet("radiator.core", OptionalDouble.of(8)));
    assertThat(radiator.neighbours())
        .extracting(o -> o.repair().name())
        .contains("hose upper-hose", "hose lower-hose", "mounts radiator");
    Option cap = pump.neighbours().stream().filter(o -> o.kind() == RepairKind.CAP).findAny().get();
    Close.to("the part alone: it is off anyway", cap.repair().cost(), 30, 1e-9);
  }

  /** Every repair of every kind of circuit: no neighbour is the repair itself, nor absent. */
  @Test
  void neighboursOfEveryPlaceAreThere() {
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      Circuit circuit = CircuitBuilder.of(preset.features());
      for (Circuit.Joint joint : circuit.joints()) {
        for (RepairKind kind : RepairKind.mending(joint.code())) {
          String at = kind.of(joint.code());
          for (Neighbours.Neighbour n : Neighbours.of(kind, at, circuit)) {
            assertThat(n.kind() == kind && n.at().equals(at)).as(joint + ": " + n).isFalse();
            assertThat(circuit.joints())
                .as(joint + ": " + n)
                .anyMatch(j -> j.code().equals(n.at()) || j.code().startsWith(n.at() + "."));
          }
        }
      }
    }
  }

  @Test
  void whatRanHotIsCuredToo() {
    Decision hot = of(new Sign("needle-rises"), wet(END, NONE));
    assertThat(hot.besides())
        .extracting(Option::kind)
        .containsExactly(RepairKind.THERMOSTAT, RepairKind.CAP, RepairKind.FLUSH);
    assertThat(of(wet(END, NONE)).besides()).isEmpty();
  }

  /** Whatever was found: probabilities add up, and no way costs less than the best. */
  @Test
  void probabilitiesAddUp() {
    List<String> joints = CIRCUIT.joints().stream().map(Circuit.Joint::code).toList();
    Seeds.of(25)
        .forEach(
            random -> {
              List<Observation> some = new ArrayList<>();
              for (int i = 0; i < random.nextInt(6); i++) {
                String place = joints.get(random.nextInt(joints.size()));
                Sight saw = random.nextBoolean() ? Sight.WET : Sight.DRY;
                some.add(new Looked(place, LookState.PRESSED, saw, NONE, NONE));
              }
              Decision decision = of(some.toArray(Observation[]::new));
              double sum =
                  decision.faults().values().stream().mapToDouble(Double::doubleValue).sum();
              Close.to("all sets", sum, 1, 1e-9);
              assertThat(decision.repairs()).hasSizeLessThanOrEqualTo(RepairOrder.MOST);
              for (Option o : decision.repairs()) {
                assertThat(o.probability()).isBetween(0.0, 1.0);
              }
              for (RepairOrder way : decision.ways()) {
                double before = 0;
                for (RepairOrder.Bundle b : way.bundles()) {
                  assertThat(b.fixed()).isGreaterThanOrEqualTo(before - 1e-9);
                  Close.to("reached", b.reached(), 1 - before, 1e-9);
                  before = b.fixed();
                }
              }
            });
  }
}
