package gotera.repair;

import static gotera.repair.CraftCheck.BOLTS_BY_HAND;
import static gotera.repair.CraftCheck.BOTH_ENDS;
import static gotera.repair.CraftCheck.CAP_THREAD;
import static gotera.repair.CraftCheck.CAP_WHOLE;
import static gotera.repair.CraftCheck.CLAMP_BEYOND_BEAD;
import static gotera.repair.CraftCheck.FACES_CLEAN;
import static gotera.repair.CraftCheck.GASKET_HELD;
import static gotera.repair.CraftCheck.GEARBOX_OFF;
import static gotera.repair.CraftCheck.HAND_TIGHT;
import static gotera.repair.CraftCheck.HEAD_AS_MAKER;
import static gotera.repair.CraftCheck.HOSE_CUT;
import static gotera.repair.CraftCheck.HOSE_SLIT;
import static gotera.repair.CraftCheck.NECK_SEALS;
import static gotera.repair.CraftCheck.NEW_AGAINST_OLD;
import static gotera.repair.CraftCheck.OLD_RING_OUT;
import static gotera.repair.CraftCheck.PLUG_SEALED;
import static gotera.repair.CraftCheck.PRESSED_FIRST;
import static gotera.repair.CraftCheck.PUMP_WHOLE;
import static gotera.repair.CraftCheck.QUALIFIED;
import static gotera.repair.CraftCheck.RUBBER_WETTED;
import static gotera.repair.CraftCheck.SEAL_ASKED;
import static gotera.repair.CraftCheck.THERMOSTAT_TOO;
import static gotera.repair.CraftCheck.TIGHT_BEFORE;
import static gotera.repair.CraftCheck.WASHERS_BOTH;

import gotera.circuit.Circuit.Joint;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The craft of a place: what is looked at when it is put together, what is renewed, what must set.
 * It is chosen by the place first and by the fastening found there where the place has no row: a
 * pump's seal is pressed in and is no core plug (common practice, no source). The maker's procedure
 * comes first.
 *
 * @param checks in the order of the work
 * @param seal what is renewed
 * @param cure what may have to set
 */
public record Craft(List<CraftCheck> checks, Seal seal, Optional<Cure> cure) {
  /** Keeps its own copy. */
  public Craft {
    checks = List.copyOf(checks);
  }

  private record Row(Pattern places, Craft craft) {}

  private static final List<Row> ROWS =
      List.of(
          row("pump\\.shaft-seal", Seal.NONE, PUMP_WHOLE, FACES_CLEAN, BOLTS_BY_HAND),
          row("(drive|second)-pump\\.seal", Seal.NONE, QUALIFIED, PUMP_WHOLE),
          row("(second-)?head\\.gasket", Seal.GASKET, FACES_CLEAN, HEAD_AS_MAKER, BOLTS_BY_HAND),
          row("(rear-)?heater-core\\.tubes", Seal.NONE, HOSE_SLIT, PRESSED_FIRST),
          row(
              "heater-(supply|return)\\.core-end",
              Seal.CLAMP,
              HOSE_SLIT,
              HOSE_CUT,
              RUBBER_WETTED,
              CLAMP_BEYOND_BEAD),
          row(
              "(?!loop)[a-z-]+\\.along",
              Seal.CLAMP,
              BOTH_ENDS,
              HOSE_CUT,
              RUBBER_WETTED,
              CLAMP_BEYOND_BEAD),
          row(
              "radiator\\.(core|tank|upper-seam|lower-seam)",
              Seal.NONE,
              PRESSED_FIRST,
              TIGHT_BEFORE),
          row("(oil|gearbox|exhaust)-cooler\\.core", Seal.NONE, PRESSED_FIRST, TIGHT_BEFORE),
          row("radiator\\.drain-tap", Seal.O_RING, OLD_RING_OUT, HAND_TIGHT),
          row(
              "outlet-neck\\.o-ring",
              Seal.O_RING,
              NECK_SEALS,
              OLD_RING_OUT,
              FACES_CLEAN,
              BOLTS_BY_HAND),
          row(
              "outlet-neck\\.[a-z-]+",
              Seal.GASKET,
              NECK_SEALS,
              OLD_RING_OUT,
              FACES_CLEAN,
              BOLTS_BY_HAND),
          row(
              "temperature-sensor\\.seal|tank\\.level-sensor|bleed-screw\\.seal",
              Seal.FITTING,
              SEAL_ASKED),
          row("gearbox-cooler\\.fittings|gearbox-lines\\.[a-z-]+", Seal.FITTING, SEAL_ASKED),
          row("turbo\\.[a-z-]+", Seal.WASHER, WASHERS_BOTH),
          row("(second-)?tank\\.cap", Seal.CAP, CAP_THREAD, CAP_WHOLE),
          row("battery-plate\\.body", Seal.NONE, QUALIFIED),
          plug("block\\.core-plug-rear", PLUG_SEALED, GEARBOX_OFF),
          plug("block\\.core-plug-[a-z]+", PLUG_SEALED),
          gasket(
              "thermostat-housing\\.[a-z-]+",
              FACES_CLEAN,
              THERMOSTAT_TOO,
              GASKET_HELD,
              BOLTS_BY_HAND));

  private static Row row(String places, Seal seal, CraftCheck... checks) {
    return row(places, seal, Optional.empty(), checks);
  }

  private static Row plug(String places, CraftCheck... checks) {
    return row(places, Seal.PLUG, Optional.of(Cure.PLUG_SEALANT), checks);
  }

  private static Row gasket(String places, CraftCheck... checks) {
    return row(places, Seal.GASKET, Optional.of(Cure.GASKET_ADHESIVE), checks);
  }

  private static Row row(String places, Seal seal, Optional<Cure> cure, CraftCheck... checks) {
    List<CraftCheck> all = new java.util.ArrayList<>(List.of(NEW_AGAINST_OLD));
    all.addAll(Arrays.asList(checks));
    return new Row(Pattern.compile(places), new Craft(all, seal, cure));
  }

  /** The craft of a joint. */
  public static Craft of(Joint joint) {
    return ROWS.stream()
        .filter(r -> r.places().matcher(joint.code()).matches())
        .map(Row::craft)
        .findFirst()
        .orElseGet(
            () ->
                new Craft(
                    CraftCheck.of(joint.fastening()),
                    Seal.of(joint.fastening()),
                    Cure.of(joint.fastening())));
  }
}
