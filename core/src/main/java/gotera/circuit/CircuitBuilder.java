package gotera.circuit;

import static gotera.circuit.Branch.ALTERNATOR;
import static gotera.circuit.Branch.ENGINE;
import static gotera.circuit.Branch.EXHAUST_COOLER;
import static gotera.circuit.Branch.GEARBOX_COOLER;
import static gotera.circuit.Branch.HEATER;
import static gotera.circuit.Branch.OIL_COOLER;
import static gotera.circuit.Branch.RADIATOR;
import static gotera.circuit.Branch.REAR_HEATER;
import static gotera.circuit.Branch.TANK;
import static gotera.circuit.Branch.TURBO;
import static gotera.circuit.Fastening.BOLTS;
import static gotera.circuit.Fastening.CAP;
import static gotera.circuit.Fastening.CRIMP;
import static gotera.circuit.Fastening.NONE;
import static gotera.circuit.Fastening.O_RING;
import static gotera.circuit.Fastening.PRESSED_IN;
import static gotera.circuit.Fastening.PUSH_FIT;
import static gotera.circuit.Fastening.SCREW;
import static gotera.circuit.Fastening.SOLDERED;

import gotera.circuit.Circuit.Shape;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;

/**
 * Builds a circuit from a vehicle's features.
 *
 * <p>The sheet is one side view that has a place for everything a circuit can have: front at the
 * left, each part at the height it usually has, a lane for each hose. A vehicle gets what it has of
 * it. So no two parts can lie over each other, whatever the combination, and two circuits can be
 * compared at a glance. The places are our drawing, not a vehicle's measures.
 *
 * <p>Features that exclude each other do no harm: without a heater there is no rear heater and no
 * heater valve; where the outlet sits over the gearbox the bypass runs inside the block.
 */
public final class CircuitBuilder {
  private final Features features;
  private final Sheet sheet;

  private CircuitBuilder(Features features) {
    this.features = features;
    this.sheet =
        new Sheet(
            features.has(Extra.QUICK_CONNECTORS) ? Fastening.QUICK_CONNECTOR : Fastening.CLAMP);
  }

  /** The circuit of a vehicle with these features. */
  public static Circuit of(Features features) {
    if (features.drive() == Features.Drive.ELECTRIC) {
      return ElectricCircuit.of(features);
    }
    CircuitBuilder builder = new CircuitBuilder(features);
    radiator(builder.sheet, RADIATOR);
    builder.filling();
    builder.engine();
    builder.pump();
    builder.outlet();
    builder.coolers();
    if (features.heated()) {
      builder.heater();
    }
    return builder.sheet.circuit();
  }

  /** The radiator with the joints every radiator has. */
  static void radiator(Sheet sheet, Branch branch) {
    sheet.part("radiator", Shape.CORE, branch, 50, 140, 90, 330);
    sheet.joint("radiator.upper-seam", branch, 60, 192, CRIMP);
    sheet.joint("radiator.tank", branch, 100, 190, NONE);
    sheet.joint("radiator.core", branch, 95, 300, SOLDERED);
    sheet.joint("radiator.lower-seam", branch, 60, 425, CRIMP);
    sheet.joint("radiator.drain-tap", branch, 95, 470, SCREW);
  }

  /** An expansion tank: its wall, sensor and vent. */
  static void tank(Sheet sheet, Branch branch) {
    sheet.part("tank", Shape.BOX, branch, 200, 40, 90, 78);
    sheet.joint("tank.seam", branch, 290, 75, NONE);
    sheet.joint("tank.body", branch, 245, 78, NONE);
    sheet.joint("tank.level-sensor", branch, 215, 112, O_RING);
    sheet.line("tank-vent", branch, 118, 140, 118, 70, 200, 70);
    sheet.joint("tank-vent.radiator-end", branch, 118, 140, PUSH_FIT);
    sheet.joint("tank-vent.tank-end", branch, 200, 70, PUSH_FIT);
    sheet.joint("tank-hose.tank-end", branch, 258, 118, sheet.hoses());
  }

  private void filling() {
    if (features.fill() == Fill.NECK) {
      sheet.joint("cap.neck", TANK, 75, 138, CAP);
      sheet.part("bottle", Shape.BOX, TANK, 200, 45, 90, 73);
      sheet.line("overflow-hose", TANK, 75, 138, 75, 75, 200, 75);
      sheet.joint("overflow-hose.bottle-end", TANK, 200, 75, PUSH_FIT);
      sheet.joint("bottle.body", TANK, 268, 105, NONE);
      return;
    }
    tank(sheet, TANK);
    sheet.line("tank-hose", TANK, 258, 118, 258, 240, 318, 240, 318, 336, 336, 336);
    sheet.joint("tank-hose.along", TANK, 288, 240, NONE);
    sheet.joint("tank-hose.pump-end", TANK, 336, 336, sheet.hoses());
    if (features.fill() == Fill.BOTH) {
      sheet.joint("cap.neck", TANK, 75, 138, CAP);
      sheet.joint("tank.cap", TANK, 245, 38, CAP);
    } else {
      sheet.joint("cap.neck", TANK, 245, 38, CAP);
    }
  }

  private void engine() {
    switch (features.engine()) {
      case INLINE -> {
        sheet.part("head", Shape.BOX, ENGINE, 430, 150, 310, 82);
        sheet.part("block", Shape.BOX, ENGINE, 430, 232, 310, 208);
        sheet.joint("head.gasket", ENGINE, 600, 232, BOLTS);
      }
      case V -> {
        sheet.part("head", Shape.BOX, ENGINE, 430, 150, 150, 82);
        sheet.part("second-head", Shape.BOX, ENGINE, 590, 150, 150, 82);
        sheet.part("block", Shape.BOX, ENGINE, 430, 232, 310, 208);
        sheet.joint("head.gasket", ENGINE, 505, 232, BOLTS);
        sheet.joint("second-head.gasket", ENGINE, 665, 232, BOLTS);
      }
      case FLAT -> {
        sheet.part("head", Shape.BOX, ENGINE, 430, 200, 72, 200);
        sheet.part("block", Shape.BOX, ENGINE, 502, 180, 166, 260);
        sheet.part("second-head", Shape.BOX, ENGINE, 668, 200, 72, 200);
        sheet.joint("head.gasket", ENGINE, 502, 270, BOLTS);
        sheet.joint("second-head.gasket", ENGINE, 668, 270, BOLTS);
      }
    }
    boolean flat = features.engine() == Engine.FLAT;
    sheet.joint("temperature-sensor.seal", ENGINE, flat ? 480 : 520, flat ? 218 : 165, SCREW);
    sheet.joint("block.core-plug-front", ENGINE, flat ? 540 : 500, 405, PRESSED_IN);
    sheet.joint("block.core-plug-rear", ENGINE, flat ? 632 : 690, 405, PRESSED_IN);
    sheet.joint("block.drain-plug", ENGINE, 586, 428, SCREW);
    sheet.part("oil-pan", Shape.PAN, ENGINE, 460, 440, 250, 65);
    sheet.part("engine-mount", Shape.PAN, ENGINE, 715, 462, 60, 28);
    sheet.part("gearbox", Shape.BOX, ENGINE, 745, 362, 92, 83);
  }

  private void pump() {
    sheet.part("pump", Shape.WHEEL, ENGINE, 335, 285, 85, 85);
    sheet.joint("pump.shaft-seal", ENGINE, 377, 327, PRESSED_IN);
    sheet.joint("pump.gasket", ENGINE, 430, 292, BOLTS);
    if (features.has(Extra.PUMP_BEHIND_COVER)) {
      sheet.joint("timing-cover.lower-edge", ENGINE, 444, 250, BOLTS);
    }
    if (features.has(Extra.PUMP_PIPE_O_RING)) {
      sheet.joint("pump.pipe-o-ring", ENGINE, 445, 381, O_RING);
    }
    if (features.has(Extra.PUMP_HIDDEN_GASKET)) {
      sheet.joint("pump.block-gasket", ENGINE, 471, 310, BOLTS);
    }
    sheet.joint("lower-hose.radiator-end", RADIATOR, 140, 440, sheet.hoses());
    if (features.has(Extra.THERMOSTAT_AT_INLET)) {
      sheet.part("thermostat-housing", Shape.BOX, ENGINE, 335, 395, 66, 45);
      sheet.joint("thermostat-housing.gasket", ENGINE, 372, 383, BOLTS);
      sheet.line("lower-hose", RADIATOR, 140, 440, 200, 440, 260, 420, 335, 420);
      sheet.joint("lower-hose.pump-end", RADIATOR, 335, 420, sheet.hoses());
      sheet.joint("lower-hose.along", RADIATOR, 200, 440, NONE);
    } else {
      sheet.line("lower-hose", RADIATOR, 140, 440, 366, 440, 366, 370);
      sheet.joint("lower-hose.pump-end", RADIATOR, 366, 370, sheet.hoses());
      sheet.joint("lower-hose.along", RADIATOR, 200, 440, NONE);
    }
  }

  private void outlet() {
    String part = features.has(Extra.THERMOSTAT_AT_INLET) ? "outlet-neck" : "thermostat-housing";
    sheet.joint("upper-hose.radiator-end", RADIATOR, 140, 182, sheet.hoses());
    if (features.has(Extra.OUTLET_OVER_GEARBOX)) {
      sheet.part(part, Shape.BOX, ENGINE, 752, 140, 86, 75);
      sheet.joint(part + ".gasket", ENGINE, 752, 185, BOLTS);
      sheet.joint(part + ".body", ENGINE, 795, 175, NONE);
      sheet.joint("outlet-neck.o-ring", ENGINE, 785, 215, O_RING);
      sheet.joint("bleed-screw.seal", ENGINE, 820, 140, SCREW);
      sheet.joint("upper-hose.housing-end", RADIATOR, 775, 140, sheet.hoses());
      sheet.joint("upper-hose.along", RADIATOR, 545, 56, NONE);
      sheet.line("upper-hose", RADIATOR, 775, 140, 775, 56, 318, 56, 318, 182, 140, 182);
      return;
    }
    sheet.part(part, Shape.BOX, ENGINE, 345, 150, 80, 62);
    sheet.joint(part + ".gasket", ENGINE, 425, 205, BOLTS);
    sheet.joint(part + ".body", ENGINE, 320, 207, NONE);
    sheet.joint("bleed-screw.seal", ENGINE, 400, 150, SCREW);
    sheet.joint("upper-hose.housing-end", RADIATOR, 345, 170, sheet.hoses());
    sheet.joint("upper-hose.along", RADIATOR, 240, 179, NONE);
    sheet.line("upper-hose", RADIATOR, 345, 170, 285, 170, 225, 182, 140, 182);
    if (features.has(Extra.BYPASS_HOSE)) {
      sheet.line("bypass-hose", ENGINE, 362, 212, 362, 288);
      sheet.joint("bypass-hose.housing-end", ENGINE, 362, 212, sheet.hoses());
      sheet.joint("bypass-hose.pump-end", ENGINE, 362, 288, sheet.hoses());
    }
  }

  private void coolers() {
    if (features.has(Extra.EXHAUST_COOLER)) {
      sheet.part("exhaust-cooler", Shape.BOX, EXHAUST_COOLER, 435, 78, 82, 52);
      sheet.joint("exhaust-cooler.gasket", EXHAUST_COOLER, 475, 130, BOLTS);
      sheet.joint("exhaust-cooler.core", EXHAUST_COOLER, 450, 93, SOLDERED);
    }
    if (features.has(Extra.INTAKE_COOLANT)) {
      sheet.part("intake", Shape.BOX, ENGINE, 535, 78, 96, 52);
      sheet.joint("intake.gasket-front", ENGINE, 556, 130, BOLTS);
      sheet.joint("intake.gasket-rear", ENGINE, 612, 130, BOLTS);
    }
    if (features.has(Extra.TURBO_LINES)) {
      sheet.part("turbo", Shape.BOX, TURBO, 645, 78, 74, 54);
      sheet.joint("turbo.supply-line", TURBO, 660, 132, SCREW);
      sheet.joint("turbo.return-line", TURBO, 706, 132, SCREW);
    }
    if (features.has(Extra.OIL_COOLER)) {
      sheet.part("oil-cooler", Shape.BOX, OIL_COOLER, 742, 245, 74, 60);
      sheet.joint("oil-cooler.o-rings", OIL_COOLER, 746, 290, O_RING);
      sheet.joint("oil-cooler.core", OIL_COOLER, 796, 263, SOLDERED);
    }
    if (features.has(Extra.GEARBOX_COOLER_IN_RADIATOR)) {
      gearboxCooler();
    }
    if (features.has(Extra.ALTERNATOR_COOLED)) {
      alternator();
    }
  }

  private void gearboxCooler() {
    sheet.part("gearbox-cooler", Shape.BOX, GEARBOX_COOLER, 30, 500, 120, 30);
    sheet.joint("gearbox-cooler.core", GEARBOX_COOLER, 58, 515, SOLDERED);
    sheet.joint("gearbox-cooler.fittings", GEARBOX_COOLER, 150, 515, SCREW);
    sheet.line("gearbox-lines", GEARBOX_COOLER, 150, 515, 185, 515, 185, 565, 800, 565, 800, 445);
    sheet.joint("gearbox-lines.gearbox-end", GEARBOX_COOLER, 800, 445, SCREW);
  }

  private void alternator() {
    sheet.part("alternator", Shape.WHEEL, ALTERNATOR, 232, 488, 56, 56);
    double tee = features.has(Extra.THERMOSTAT_AT_INLET) ? 420 : 440;
    sheet.line("alternator-hoses", ALTERNATOR, 260, tee, 260, 488);
    sheet.joint("alternator-hoses.tee", ALTERNATOR, 260, tee, sheet.hoses());
    sheet.joint("alternator-hoses.alternator-end", ALTERNATOR, 260, 488, sheet.hoses());
  }

  private void heater() {
    sheet.part("heater-core", Shape.BOX, HEATER, 905, 195, 70, 130);
    sheet.joint("heater-core.tubes", HEATER, 946, 258, SOLDERED);
    if (features.has(Extra.OUTLET_OVER_GEARBOX)) {
      sheet.line("heater-supply", HEATER, 838, 195, 852, 170, 886, 170, 886, 215, 905, 215);
      sheet.joint("heater-supply.head-end", HEATER, 838, 195, sheet.hoses());
    } else if (features.engine() == Engine.FLAT) {
      sheet.line(
          "heater-supply", HEATER, 740, 222, 775, 222, 775, 170, 886, 170, 886, 215, 905, 215);
      sheet.joint("heater-supply.head-end", HEATER, 740, 222, sheet.hoses());
    } else {
      sheet.line("heater-supply", HEATER, 740, 170, 886, 170, 886, 215, 905, 215);
      sheet.joint("heater-supply.head-end", HEATER, 740, 170, sheet.hoses());
    }
    if (!features.has(Extra.OUTLET_OVER_GEARBOX)) {
      // where the outlet sits over the gearbox this hose is but a hand long
      sheet.joint("heater-supply.along", HEATER, 820, 170, NONE);
    }
    sheet.joint("heater-supply.core-end", HEATER, 905, 215, sheet.hoses());
    sheet.line("heater-return", HEATER, 905, 300, 886, 300, 886, 340, 416, 340);
    sheet.joint("heater-return.core-end", HEATER, 905, 300, sheet.hoses());
    sheet.joint("heater-return.along", HEATER, 700, 340, NONE);
    sheet.joint("heater-return.pump-end", HEATER, 416, 340, sheet.hoses());
    if (features.has(Extra.HEATER_VALVE)) {
      sheet.part("heater-valve", Shape.VALVE, HEATER, 780, 324, 40, 32);
      sheet.joint("heater-valve.stem", HEATER, 800, 340, NONE);
    }
    if (features.has(Extra.PLASTIC_PIPE)) {
      sheet.joint("coolant-pipe.body", HEATER, 600, 340, NONE);
    }
    if (features.has(Extra.REAR_HEATER)) {
      rearHeater();
    }
  }

  private void rearHeater() {
    sheet.part("rear-heater-core", Shape.BOX, REAR_HEATER, 905, 420, 70, 100);
    sheet.joint("rear-heater-core.tubes", REAR_HEATER, 942, 468, SOLDERED);
    sheet.line("rear-heater-supply", REAR_HEATER, 886, 170, 988, 170, 988, 440, 975, 440);
    sheet.joint("rear-heater-supply.tee", REAR_HEATER, 886, 170, sheet.hoses());
    sheet.joint("rear-heater-supply.along", REAR_HEATER, 940, 170, NONE);
    sheet.joint("rear-heater-supply.core-end", REAR_HEATER, 975, 440, sheet.hoses());
    sheet.line("rear-heater-return", REAR_HEATER, 905, 500, 886, 500, 886, 340);
    sheet.joint("rear-heater-return.tee", REAR_HEATER, 886, 340, sheet.hoses());
    sheet.joint("rear-heater-return.core-end", REAR_HEATER, 905, 500, sheet.hoses());
    sheet.joint("rear-heater-return.along", REAR_HEATER, 886, 420, NONE);
  }
}
