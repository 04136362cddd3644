package gotera.repair;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The craft of a place, asked as a technician would. */
class CraftTests {
  private static Map<String, Craft> all() {
    Map<String, Craft> all = new HashMap<>();
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      Circuit circuit = CircuitBuilder.of(preset.features());
      for (Joint joint : circuit.joints()) {
        all.put(joint.code(), Craft.of(joint));
      }
    }
    return all;
  }

  /** Every joint of every preset: new beside old first, and no check twice. */
  @Test
  void everyJointHasItsCraft() {
    all()
        .forEach(
            (place, craft) ->
                assertThat(craft.checks())
                    .as(place)
                    .startsWith(CraftCheck.NEW_AGAINST_OLD)
                    .doesNotHaveDuplicates());
  }

  /** A core plug's sealant is for core plugs, a night of it too. */
  @Test
  void onlyAPlugIsSetLikeOne() {
    all()
        .forEach(
            (place, craft) -> {
              boolean plug = place.startsWith("block.core-plug");
              assertThat(craft.checks().contains(CraftCheck.PLUG_SEALED)).as(place).isEqualTo(plug);
              assertThat(craft.cure().filter(c -> c == Cure.PLUG_SEALANT).isPresent())
                  .as(place)
                  .isEqualTo(plug);
            });
  }

  @Test
  void mustAndNever() {
    Map<String, Craft> all = all();
    must(all, "pump.shaft-seal", CraftCheck.PUMP_WHOLE);
    must(all, "drive-pump.seal", CraftCheck.QUALIFIED, CraftCheck.PUMP_WHOLE);
    must(all, "head.gasket", CraftCheck.HEAD_AS_MAKER);
    assertThat(known(all, "head.gasket").cure()).as("no adhesive").isEmpty();
    must(all, "outlet-neck.o-ring", CraftCheck.NECK_SEALS);
    must(all, "thermostat-housing.gasket", CraftCheck.THERMOSTAT_TOO);
    must(all, "radiator.core", CraftCheck.PRESSED_FIRST);
    must(all, "radiator.drain-tap", CraftCheck.HAND_TIGHT);
    must(all, "block.core-plug-rear", CraftCheck.GEARBOX_OFF);
    must(all, "heater-core.tubes", CraftCheck.HOSE_SLIT);
    assertThat(known(all, "heater-core.tubes").checks()).doesNotContain(CraftCheck.TIGHT_BEFORE);
    must(all, "upper-hose.along", CraftCheck.BOTH_ENDS);
    must(all, "turbo.supply-line", CraftCheck.WASHERS_BOTH);
    must(all, "battery-plate.body", CraftCheck.QUALIFIED);
    must(all, "gearbox-cooler.fittings", CraftCheck.SEAL_ASKED);
    must(all, "temperature-sensor.seal", CraftCheck.SEAL_ASKED);
  }

  private static void must(Map<String, Craft> all, String place, CraftCheck... checks) {
    assertThat(known(all, place).checks()).as(place).containsAll(List.of(checks));
  }

  private static Craft known(Map<String, Craft> all, String place) {
    assertThat(all).containsKey(place);
    return all.get(place);
  }
}
