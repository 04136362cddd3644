package gotera.practice;

import gotera.combustion.GasColour;
import gotera.evidence.Mode;
import gotera.suspects.Action;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.Look;
import gotera.suspects.Observation;
import gotera.suspects.Observation.GasChecked;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.ToDoubleFunction;

/** What gas, bubbles, cylinders and fluids of a practice vehicle show. */
final class Within {
  private Within() {}

  private static boolean shows(
      PracticeVehicle vehicle, ToDoubleFunction<HiddenLeak> by, double misled, Random random) {
    double not = 1 - misled * vehicle.world.misled();
    for (HiddenLeak leak : vehicle.leaks()) {
      not *= 1 - vehicle.world.eyes() * by.applyAsDouble(leak);
    }
    return random.nextDouble() >= not;
  }

  static Observation gas(PracticeVehicle vehicle, Action.Whole what, Random random) {
    boolean gas =
        shows(
            vehicle,
            l ->
                switch (l.place()) {
                  case "inside.head-gasket" -> l.mode() == Mode.COLD ? 0.3 : 0.87;
                  case "inside.cylinder" -> l.mode() == Mode.COLD ? 0.05 : 0.3;
                  default -> 0;
                },
            0.02,
            random);
    return what == Action.Whole.BUBBLES
        ? new Bubbled(gas ? Bubbles.GAS_ENTERING : Bubbles.QUIET, OptionalDouble.empty(), List.of())
        : new GasChecked(gas ? GasColour.YELLOW : GasColour.BLUE, List.of());
  }

  static Observation cylinder(PracticeVehicle vehicle, Random random) {
    boolean wet =
        shows(
            vehicle,
            l ->
                switch (l.place()) {
                  case "inside.cylinder" -> 0.9;
                  case "inside.head-gasket" -> 0.4;
                  case "intake.gasket-front", "intake.gasket-rear" -> 0.25;
                  default -> 0;
                },
            0.01,
            random);
    return new InCylinder(1, wet, OptionalDouble.empty(), OptionalDouble.empty(), false);
  }

  static Observation fluid(PracticeVehicle vehicle, Fluid fluid, Random random) {
    boolean shows =
        shows(
            vehicle,
            l ->
                switch (fluid) {
                  case GEARBOX -> l.place().equals("gearbox-cooler.core") ? 0.92 : 0;
                  case COOLANT_SURFACE ->
                      l.place().equals("oil-cooler.core")
                          ? 0.8
                          : l.place().equals("gearbox-cooler.core") ? 0.6 : 0;
                  case DIPSTICK, OIL_CAP ->
                      switch (l.place()) {
                        case "inside.head-gasket" -> 0.25;
                        case "oil-cooler.core" -> 0.5;
                        case "pump.block-gasket" -> 0.3;
                        default -> 0;
                      };
                },
            0.01,
            random);
    Look seen =
        switch (fluid) {
          case GEARBOX -> Look.PINK;
          case COOLANT_SURFACE -> Look.OIL_FILM;
          case DIPSTICK, OIL_CAP -> Look.PALE_EMULSION;
        };
    return new FluidSeen(fluid, shows ? seen : Look.CLEAN);
  }
}
