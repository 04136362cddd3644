package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitEdit.LoopOff;
import gotera.circuit.CircuitPresets;
import gotera.combustion.GasColour;
import gotera.decide.OpenPoints;
import gotera.decide.OpenPoints.Untested;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.Look;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Repaired;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a finding means and does not, and what a job leaves open. */
class MeaningTests {
  private static final Circuit CIRCUIT = CircuitBuilder.of(CircuitPresets.USUAL);
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final GasChecked BLUE = new GasChecked(GasColour.BLUE, List.of());
  private static final GasChecked YELLOW = new GasChecked(GasColour.YELLOW, List.of());
  private static final InCylinder WET = new InCylinder(3, true, NONE, NONE, false);

  private static Case of(Observation... observed) {
    return new Case(CIRCUIT, List.of(observed), false);
  }

  private static Looked wet(LookState state) {
    return new Looked(
        "pump.shaft-seal", state, Sight.WET, OptionalDouble.empty(), Optional.empty(), false, "");
  }

  @Test
  void blueLowersSuspicionOnlyWhereItCounts() {
    assertThat(Meaning.of(of(BLUE))).containsExactly(Meaning.NO_GAS_THEN);
    assertThat(Meaning.of(of(new GasChecked(GasColour.BLUE, List.of("engine-cold"))))).isEmpty();
    assertThat(Meaning.of(of(YELLOW, BLUE))).contains(Meaning.NO_GAS_THEN);
    assertThat(Meaning.of(of(BLUE, YELLOW))).doesNotContain(Meaning.NO_GAS_THEN);
  }

  @Test
  void gasOrBubblesAloneCondemnNoHeadGasket() {
    Bubbled gas = new Bubbled(Bubbles.GAS_ENTERING, NONE, List.of());
    assertThat(Meaning.of(of(YELLOW))).containsExactly(Meaning.EITHER_RAISES);
    assertThat(Meaning.of(of(gas))).containsExactly(Meaning.EITHER_RAISES);
    assertThat(Meaning.of(of(gas, YELLOW))).isEmpty();
    assertThat(Meaning.of(of(YELLOW, WET))).isEmpty();
    assertThat(Meaning.of(of(WET))).isEmpty();
  }

  @Test
  void aWetCylinderWithoutGasOpensParkedOrIsTheIntake() {
    assertThat(Meaning.of(of(WET, BLUE)))
        .containsExactly(Meaning.NO_GAS_THEN, Meaning.WET_WITHOUT_GAS);
  }

  @Test
  void sludgeUnderTheCapAloneMayBeCondensation() {
    FluidSeen cap = new FluidSeen(Fluid.OIL_CAP, Look.PALE_EMULSION);
    FluidSeen stick = new FluidSeen(Fluid.DIPSTICK, Look.PALE_EMULSION);
    FluidSeen clean = new FluidSeen(Fluid.DIPSTICK, Look.CLEAN);
    assertThat(Meaning.of(of(cap))).containsExactly(Meaning.MAY_BE_CONDENSATION);
    assertThat(Meaning.of(of(cap, stick))).isEmpty();
    assertThat(Meaning.of(of(cap, stick, clean))).containsExactly(Meaning.MAY_BE_CONDENSATION);
    assertThat(Meaning.of(of(stick))).isEmpty();
  }

  @Test
  void whatIsWetOnlyRunningNeedsRotation() {
    Held tight =
        new Held(
            VerdictKind.TIGHT, new Outcome.Rate(0, 0.02, LeakLaw.SEEP), 110, "", false, List.of());
    assertThat(Meaning.of(of(tight, wet(LookState.RUNNING))))
        .containsExactly(Meaning.NEEDS_ROTATION);
    assertThat(Meaning.of(of(wet(LookState.RUNNING)))).isEmpty();
    assertThat(Meaning.of(of(tight, wet(LookState.RUNNING), wet(LookState.PRESSED)))).isEmpty();
  }

  @Test
  void whatWasNotTestedStaysOpenAndABranchLoopedOffTheMore() {
    CircuitEdit loop = new LoopOff("rear-heater");
    OpenPoints all = OpenPoints.of(of(), true, List.of(loop, loop), List.of());
    assertThat(all.untested()).containsExactly(Untested.values());
    assertThat(all.loopedOff()).containsExactly("rear-heater");
    assertThat(
            OpenPoints.of(of(BLUE, wet(LookState.RUNNING)), true, List.of(), List.of()).untested())
        .containsExactly(Untested.PRESSURE);
    assertThat(OpenPoints.of(of(), false, List.of(), List.of()).untested())
        .doesNotContain(Untested.GAS);
  }

  @Test
  void whatWasOpenedStaysOpenUntilItIsLookedAtUnderPressure() {
    List<String> opened = List.of("pump.shaft-seal", "pump.gasket");
    assertThat(OpenPoints.of(of(), true, List.of(), opened).unseen()).isEqualTo(opened);
    assertThat(OpenPoints.of(of(wet(LookState.COLD)), true, List.of(), opened).unseen())
        .isEqualTo(opened);
    assertThat(OpenPoints.of(of(wet(LookState.PRESSED)), true, List.of(), opened).unseen())
        .containsExactly("pump.gasket");
    Repaired repaired = new Repaired();
    assertThat(
            OpenPoints.of(of(wet(LookState.PRESSED), repaired), true, List.of(), opened).unseen())
        .isEqualTo(opened);
  }
}
