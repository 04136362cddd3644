package gotera.circuit;

import static gotera.circuit.Branch.BATTERY;
import static gotera.circuit.Branch.DRIVE;
import static gotera.circuit.Fastening.CAP;
import static gotera.circuit.Fastening.NONE;
import static gotera.circuit.Fastening.PRESSED_IN;

import gotera.circuit.Circuit.Shape;

/**
 * The two loops of an electric drive: one for inverter, motor and charger, one for the battery.
 * Cabin heat is a circuit of its own there and is not drawn.
 */
final class ElectricCircuit {
  private final Sheet sheet;

  private ElectricCircuit(Features features) {
    this.sheet =
        new Sheet(
            features.has(Features.Extra.QUICK_CONNECTORS)
                ? Fastening.QUICK_CONNECTOR
                : Fastening.CLAMP);
  }

  static Circuit of(Features features) {
    ElectricCircuit circuit = new ElectricCircuit(features);
    circuit.drive();
    circuit.battery();
    return circuit.sheet.circuit();
  }

  private void drive() {
    CircuitBuilder.radiator(sheet, DRIVE);
    CircuitBuilder.tank(sheet, DRIVE);
    sheet.joint("cap.neck", DRIVE, 245, 38, CAP);
    sheet.line("tank-hose", DRIVE, 258, 118, 258, 340, 230, 360, 230, 408);
    sheet.part("drive-pump", Shape.WHEEL, DRIVE, 200, 410, 60, 60);
    sheet.joint("tank-hose.pump-end", DRIVE, 230, 408, sheet.hoses());
    sheet.line("lower-hose", DRIVE, 140, 440, 200, 440);
    hose("lower-hose.radiator-end", DRIVE, 140, 440);
    hose("drive-pump.inlet", DRIVE, 200, 440);
    sheet.joint("drive-pump.seal", DRIVE, 232, 470, PRESSED_IN);
    sheet.part("inverter", Shape.BOX, DRIVE, 345, 380, 100, 70);
    sheet.part("motor", Shape.WHEEL, DRIVE, 520, 360, 110, 110);
    sheet.part("charger", Shape.BOX, DRIVE, 700, 380, 95, 70);
    sheet.line("inverter-hose", DRIVE, 260, 436, 345, 430);
    hose("drive-pump.outlet", DRIVE, 260, 436);
    hose("inverter.inlet", DRIVE, 345, 430);
    sheet.line("motor-hose", DRIVE, 445, 415, 520, 415);
    hose("inverter.outlet", DRIVE, 445, 415);
    hose("motor.inlet", DRIVE, 520, 415);
    sheet.line("charger-hose", DRIVE, 630, 415, 700, 415);
    hose("motor.outlet", DRIVE, 630, 415);
    hose("charger.inlet", DRIVE, 700, 415);
    sheet.line("upper-hose", DRIVE, 795, 400, 845, 400, 845, 182, 140, 182);
    hose("charger.outlet", DRIVE, 795, 400);
    hose("upper-hose.radiator-end", DRIVE, 140, 182);
  }

  private void battery() {
    sheet.part("second-tank", Shape.BOX, BATTERY, 400, 40, 90, 78);
    sheet.joint("second-tank.cap", BATTERY, 445, 38, CAP);
    sheet.joint("second-tank.seam", BATTERY, 490, 80, NONE);
    sheet.line("second-tank-hose", BATTERY, 430, 118, 430, 245);
    hose("second-tank-hose.tank-end", BATTERY, 430, 118);
    sheet.part("second-pump", Shape.WHEEL, BATTERY, 395, 245, 70, 70);
    hose("second-pump.inlet", BATTERY, 430, 245);
    sheet.joint("second-pump.seal", BATTERY, 435, 315, PRESSED_IN);
    sheet.part("chiller", Shape.BOX, BATTERY, 570, 245, 100, 65);
    sheet.line("chiller-hose", BATTERY, 465, 275, 570, 275);
    hose("second-pump.outlet", BATTERY, 465, 275);
    hose("chiller.inlet", BATTERY, 570, 275);
    sheet.part("battery-plate", Shape.BOX, BATTERY, 340, 510, 440, 45);
    sheet.line("plate-supply", BATTERY, 670, 275, 820, 275, 820, 532, 780, 532);
    hose("chiller.outlet", BATTERY, 670, 275);
    hose("battery-plate.inlet", BATTERY, 780, 532);
    sheet.joint("battery-plate.body", BATTERY, 560, 532, NONE);
    sheet.line("plate-return", BATTERY, 340, 532, 315, 532, 315, 285, 395, 285);
    hose("battery-plate.outlet", BATTERY, 340, 532);
    hose("second-pump.return", BATTERY, 395, 285);
  }

  private void hose(String code, Branch branch, double x, double y) {
    sheet.joint(code, branch, x, y, sheet.hoses());
  }
}
