package gotera.circuit;

import static gotera.circuit.Features.Drive.DIESEL;
import static gotera.circuit.Features.Drive.ELECTRIC;
import static gotera.circuit.Features.Drive.PETROL;
import static gotera.circuit.Features.Engine.FLAT;
import static gotera.circuit.Features.Engine.INLINE;
import static gotera.circuit.Features.Engine.V;
import static gotera.circuit.Features.Extra.ALTERNATOR_COOLED;
import static gotera.circuit.Features.Extra.BYPASS_HOSE;
import static gotera.circuit.Features.Extra.EXHAUST_COOLER;
import static gotera.circuit.Features.Extra.GEARBOX_COOLER_IN_RADIATOR;
import static gotera.circuit.Features.Extra.HEATER_VALVE;
import static gotera.circuit.Features.Extra.INTAKE_COOLANT;
import static gotera.circuit.Features.Extra.NO_HEATER;
import static gotera.circuit.Features.Extra.OIL_COOLER;
import static gotera.circuit.Features.Extra.OUTLET_OVER_GEARBOX;
import static gotera.circuit.Features.Extra.PLASTIC_PIPE;
import static gotera.circuit.Features.Extra.PUMP_BEHIND_COVER;
import static gotera.circuit.Features.Extra.PUMP_HIDDEN_GASKET;
import static gotera.circuit.Features.Extra.PUMP_PIPE_O_RING;
import static gotera.circuit.Features.Extra.QUICK_CONNECTORS;
import static gotera.circuit.Features.Extra.REAR_HEATER;
import static gotera.circuit.Features.Extra.THERMOSTAT_AT_INLET;
import static gotera.circuit.Features.Extra.TURBO_LINES;
import static gotera.circuit.Features.Fill.BOTH;
import static gotera.circuit.Features.Fill.NECK;
import static gotera.circuit.Features.Fill.TANK;
import static gotera.circuit.Features.Orientation.ACROSS;
import static gotera.circuit.Features.Orientation.ALONG;

import java.util.List;
import java.util.Optional;

/** Combinations of features that are common, to begin from (our judgement, untested). */
public final class CircuitPresets {
  /** What a vehicle has until somebody says otherwise. */
  public static final Features USUAL = Features.of(PETROL, NECK, INLINE, ACROSS);

  private static final List<Preset> ALL =
      List.of(
          new Preset("inline-across-neck", USUAL),
          new Preset("inline-across-tank", Features.of(PETROL, TANK, INLINE, ACROSS)),
          new Preset(
              "inline-across-outlet-over-gearbox",
              Features.of(PETROL, TANK, INLINE, ACROSS, OUTLET_OVER_GEARBOX, PLASTIC_PIPE)),
          new Preset(
              "inline-across-turbo",
              Features.of(PETROL, TANK, INLINE, ACROSS, TURBO_LINES, OIL_COOLER, QUICK_CONNECTORS)),
          new Preset("inline-along-neck", Features.of(PETROL, NECK, INLINE, ALONG, BYPASS_HOSE)),
          new Preset(
              "inline-along-carburettors",
              Features.of(PETROL, BOTH, INLINE, ALONG, INTAKE_COOLANT, HEATER_VALVE)),
          new Preset(
              "diesel-along-rear-heater",
              Features.of(DIESEL, TANK, INLINE, ALONG, REAR_HEATER, EXHAUST_COOLER, OIL_COOLER)),
          new Preset(
              "diesel-across-turbo",
              Features.of(
                  DIESEL, TANK, INLINE, ACROSS, TURBO_LINES, EXHAUST_COOLER, THERMOSTAT_AT_INLET)),
          new Preset(
              "v-across-outlet-over-gearbox",
              Features.of(
                  PETROL, TANK, V, ACROSS, OUTLET_OVER_GEARBOX, PUMP_BEHIND_COVER, OIL_COOLER)),
          new Preset(
              "v-along-automatic",
              Features.of(
                  PETROL, NECK, V, ALONG, GEARBOX_COOLER_IN_RADIATOR, REAR_HEATER, INTAKE_COOLANT)),
          new Preset(
              "v-pump-behind-cover",
              Features.of(
                  PETROL,
                  TANK,
                  V,
                  ALONG,
                  PUMP_BEHIND_COVER,
                  PUMP_PIPE_O_RING,
                  PUMP_HIDDEN_GASKET,
                  QUICK_CONNECTORS,
                  PLASTIC_PIPE)),
          new Preset("flat-along", Features.of(PETROL, TANK, FLAT, ALONG, THERMOSTAT_AT_INLET)),
          new Preset("generator", Features.of(DIESEL, NECK, INLINE, ALONG, NO_HEATER)),
          new Preset(
              "generator-alternator-cooled",
              Features.of(DIESEL, TANK, INLINE, ALONG, NO_HEATER, ALTERNATOR_COOLED)),
          new Preset("electric-two-loops", Features.of(ELECTRIC, TANK, INLINE, ACROSS)));

  private CircuitPresets() {}

  /** All of them. */
  public static List<Preset> all() {
    return ALL;
  }

  /** The one a word means. */
  public static Optional<Preset> of(String code) {
    return ALL.stream().filter(p -> p.code().equals(code)).findFirst();
  }

  /**
   * A combination with a name.
   *
   * @param code the word for it
   * @param features what it has
   */
  public record Preset(String code, Features features) {}
}
