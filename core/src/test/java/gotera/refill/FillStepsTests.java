package gotera.refill;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Branch.Gate;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Editing;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import gotera.pressure.law.Medium;
import gotera.pressure.verdict.VerdictKind;
import gotera.refill.FillSteps.Does;
import gotera.refill.FillSteps.FillStep;
import gotera.refill.FillSteps.School;
import gotera.refill.FillSteps.Way;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The steps of a refill, for whatever circuit. */
class FillStepsTests {
  private static <E extends Enum<E>> E any(Random random, E[] of) {
    return of[random.nextInt(of.length)];
  }

  private static Features features(Random random) {
    Set<Extra> extras = EnumSet.noneOf(Extra.class);
    for (Extra extra : Extra.values()) {
      if (random.nextBoolean()) {
        extras.add(extra);
      }
    }
    return new Features(
        any(random, Drive.values()),
        any(random, Fill.values()),
        any(random, Engine.values()),
        any(random, Orientation.values()),
        extras);
  }

  /** For every circuit that can be built the steps visit every high point, each once. */
  @ParameterizedTest
  @EnumSource(School.class)
  void theStepsVisitEveryHighPoint(School school) {
    Random random = new Random(11);
    for (int run = 0; run < 1500; run++) {
      Features features = features(random);
      Circuit circuit = CircuitBuilder.of(features);
      List<String> visited =
          FillSteps.of(circuit, new Way(school, random.nextBoolean())).stream()
              .flatMap(s -> s.frees().stream())
              .toList();
      assertThat(visited)
          .as(features.toString())
          .containsExactlyInAnyOrderElementsOf(
              HighPoint.of(circuit).stream().map(HighPoint::code).toList());
    }
  }

  @Test
  void whatStandsBehindTheThermostatIsFreedOnlyOnceItOpens() {
    List<FillStep> steps =
        FillSteps.of(CircuitBuilder.of(CircuitPresets.USUAL), poured(School.POUR));
    List<Does> order = steps.stream().map(FillStep::does).toList();
    assertThat(order)
        .containsSubsequence(
            Does.SHUT_DRAINS,
            Does.HEATER_OPEN,
            Does.BLEED_OPEN,
            Does.POUR,
            Does.BLEED_SHUT,
            Does.START,
            Does.HEATER_HOT,
            Does.THERMOSTAT_OPENS,
            Does.UNTIL_QUIET,
            Does.COOL,
            Does.TOP_UP);
    assertThat(step(steps, Does.BLEED_SHUT).frees()).contains("thermostat-housing");
    assertThat(step(steps, Does.HEATER_HOT).frees()).contains("heater-core");
  }

  @Test
  void aBranchThatIsLoopedOffIsNotFilled() {
    Circuit built =
        CircuitBuilder.of(CircuitPresets.of("diesel-along-rear-heater").orElseThrow().features());
    assertThat(step(FillSteps.of(built, poured(School.FUNNEL)), Does.REAR_HEATER_HOT).frees())
        .contains("rear-heater-core");
    Circuit now = Editing.all(built, List.of(new CircuitEdit.LoopOff("rear-heater")));
    assertThat(FillSteps.of(now, poured(School.FUNNEL)).stream().map(FillStep::does))
        .doesNotContain(Does.REAR_HEATER_HOT);
  }

  @Test
  void aVacuumIsWatchedBeforeAnythingIsDrawnIn() {
    List<Does> order =
        FillSteps.of(CircuitBuilder.of(CircuitPresets.USUAL), poured(School.VACUUM)).stream()
            .map(FillStep::does)
            .toList();
    assertThat(order)
        .containsSubsequence(Does.EVACUATE, Does.WATCH_VACUUM, Does.DRAW_IN, Does.FUNNEL_ON);
    assertThat(order).doesNotContain(Does.POUR, Does.BLEED_OPEN);
  }

  @Test
  void anElectricDriveHasPumpsAndNoThermostat() {
    Circuit circuit =
        CircuitBuilder.of(CircuitPresets.of("electric-two-loops").orElseThrow().features());
    assertThat(FillSteps.of(circuit, poured(School.POUR)).stream().map(FillStep::does))
        .contains(Does.PUMPS_RUN)
        .doesNotContain(Does.START, Does.THERMOSTAT_OPENS);
  }

  private static Way poured(School school) {
    return new Way(school, false);
  }

  /** Air finds the fault of an assembly before coolant is spent, whatever follows. */
  @ParameterizedTest
  @EnumSource(School.class)
  void dryAirIsHeldBeforeAnythingGoesIn(School school) {
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      Circuit circuit = CircuitBuilder.of(preset.features());
      List<Does> order =
          FillSteps.of(circuit, new Way(school, true)).stream().map(FillStep::does).toList();
      int first = at(FillSteps.of(circuit, new Way(school, true)), Does.AIR_HOLD);
      assertThat(first).as(preset.code()).isNotNegative();
      assertThat(order.subList(0, first))
          .doesNotContain(Does.POUR, Does.DRAW_IN, Does.EVACUATE, Does.FUNNEL_ON);
      assertThat(FillSteps.of(circuit, poured(school)).stream().map(FillStep::does))
          .doesNotContain(Does.AIR_HOLD);
    }
  }

  @Test
  void whatDoesNotHoldDryIsNotFilled() {
    assertThat(DryHold.of(VerdictKind.TIGHT)).isEqualTo(DryHold.HELD);
    assertThat(List.of(VerdictKind.LEAK, VerdictKind.GROSS, VerdictKind.STOPPED))
        .allSatisfy(v -> assertThat(DryHold.of(v)).isEqualTo(DryHold.FELL));
    assertThat(DryHold.of(VerdictKind.NOT_PROVEN)).isEqualTo(DryHold.NOT_TOLD);
    assertThat(Does.AIR_HOLD.hold()).contains(Medium.GAS);
    assertThat(Does.WATCH_VACUUM.hold()).contains(Medium.VACUUM);
    assertThat(Does.POUR.hold()).isEmpty();
  }

  private static FillStep step(List<FillStep> steps, Does does) {
    return steps.stream().filter(s -> s.does() == does).findFirst().orElseThrow();
  }

  /** No air leaves before what shuts it in has opened, whatever the circuit. */
  @ParameterizedTest
  @EnumSource(School.class)
  void noAirLeavesThroughWhatIsStillShut(School school) {
    Random random = new Random(12);
    for (int run = 0; run < 1500; run++) {
      Circuit circuit = CircuitBuilder.of(features(random));
      Map<String, HighPoint> points =
          HighPoint.of(circuit).stream()
              .collect(Collectors.toMap(HighPoint::code, Function.identity()));
      List<FillStep> steps = FillSteps.of(circuit, new Way(school, random.nextBoolean()));
      int heat = at(steps, Does.HEATER_HOT);
      int opens = at(steps, Does.THERMOSTAT_OPENS);
      for (int i = 0; i < steps.size(); i++) {
        for (String code : steps.get(i).frees()) {
          Gate gate = points.get(code).branch().gate();
          boolean filler = code.equals("radiator"); // its own cap, or its vent, is its high point
          if (gate == Gate.THERMOSTAT && !filler) {
            assertThat(i).as(code).isGreaterThanOrEqualTo(opens);
          } else if (gate == Gate.HEATER_VALVE) {
            assertThat(i).as(code).isGreaterThanOrEqualTo(heat);
          }
        }
      }
    }
  }

  /** Where a step stands; before everything where it is not. */
  private static int at(List<FillStep> steps, Does does) {
    return steps.stream().map(FillStep::does).toList().indexOf(does);
  }

  @Test
  void eachLoopOfAnElectricDriveIsFilledAtItsOwnTank() {
    Circuit circuit =
        CircuitBuilder.of(CircuitPresets.of("electric-two-loops").orElseThrow().features());
    List<FillStep> pours =
        FillSteps.of(circuit, poured(School.POUR)).stream()
            .filter(s -> s.does() == Does.POUR)
            .toList();
    assertThat(pours).extracting(FillStep::at).containsExactly("cap.neck", "second-tank.cap");
    assertThat(pours.get(0).frees()).contains("inverter").doesNotContain("battery-plate");
    assertThat(pours.get(1).frees()).contains("battery-plate").doesNotContain("inverter");
  }
}
