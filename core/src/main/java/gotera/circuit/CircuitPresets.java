package gotera.circuit;

import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Shape;
import java.util.List;

/** Circuits ready to use. One so far; others come from a vehicle's features. */
public final class CircuitPresets {
  private CircuitPresets() {}

  /** In-line engine across, cap on the radiator with a recovery bottle, one heater. */
  public static Circuit inlineAcrossCapOnRadiator() {
    return new Circuit("inline-across-cap-on-radiator", parts(), lines(), joints());
  }

  private static List<Part> parts() {
    return List.of(
        new Part("radiator", Shape.CORE, 60, 130, 100, 350, 70, 520),
        new Part("bottle", Shape.BOX, 215, 30, 90, 90, 260, 22),
        new Part("head", Shape.BOX, 400, 140, 320, 95, 590, 195),
        new Part("block", Shape.BLOCK, 380, 235, 360, 235, 600, 330),
        new Part("pump", Shape.WHEEL, 330, 270, 120, 120, 390, 336),
        new Part("thermostat-housing", Shape.BOX, 350, 130, 76, 62, 388, 118),
        new Part("oil-pan", Shape.PAN, 420, 470, 280, 76, 600, 520),
        new Part("heater-core", Shape.BOX, 880, 200, 86, 170, 923, 396));
  }

  private static List<Line> lines() {
    return List.of(
        line("upper-hose", 255, 222, 350, 160, 280, 158, 240, 214, 160, 170),
        line("lower-hose", 262, 418, 160, 440, 250, 442, 262, 380, 338, 360),
        line("overflow-hose", 150, 62, 110, 130, 112, 60, 160, 62, 215, 72),
        line("heater-supply", 800, 160, 720, 170, 790, 166, 800, 232, 880, 235),
        line("heater-return", 716, 418, 880, 335, 780, 350, 800, 436, 450, 350));
  }

  private static Line line(String code, double labelX, double labelY, double... xy) {
    return new Line(
        code, List.of(xy[0], xy[1], xy[2], xy[3], xy[4], xy[5], xy[6], xy[7]), labelX, labelY);
  }

  private static List<Joint> joints() {
    return List.of(
        new Joint("cap.neck", 110, 130, "cap", -4, -22),
        new Joint("overflow-hose.bottle-end", 215, 72, "push-fit", 104, 4),
        new Joint("bottle.body", 280, 105, "none", 40, 6),
        new Joint("bleed-screw.seal", 426, 140, "screw", -8, -36),
        new Joint("thermostat-housing.gasket", 400, 192, "bolts", 18, 24),
        new Joint("upper-hose.housing-end", 350, 160, "clamp", -20, -8),
        new Joint("upper-hose.radiator-end", 160, 170, "clamp", 16, -10),
        new Joint("temperature-sensor.seal", 500, 140, "screw", 14, -14),
        new Joint("heater-supply.head-end", 720, 170, "clamp", -22, 6),
        new Joint("heater-supply.core-end", 880, 235, "clamp", -22, 24),
        new Joint("heater-core.tubes", 940, 285, "soldered", -24, 6),
        new Joint("heater-return.core-end", 880, 335, "clamp", -22, -12),
        new Joint("head.gasket", 560, 235, "bolts", 18, 6),
        new Joint("radiator.upper-seam", 72, 172, "crimp", 18, 30),
        new Joint("radiator.core", 110, 300, "soldered", 20, 6),
        new Joint("pump.gasket", 438, 292, "bolts", 20, 0),
        new Joint("pump.shaft-seal", 390, 300, "pressed-in", -22, 0),
        new Joint("heater-return.pump-end", 450, 350, "clamp", 20, -10),
        new Joint("lower-hose.pump-end", 338, 360, "clamp", -22, -8),
        new Joint("radiator.lower-seam", 72, 432, "crimp", 18, -14),
        new Joint("lower-hose.radiator-end", 160, 440, "clamp", 22, 34),
        new Joint("radiator.drain-tap", 100, 470, "screw", 14, 30),
        new Joint("block.core-plug-front", 470, 420, "pressed-in", 20, -12),
        new Joint("block.core-plug-rear", 660, 420, "pressed-in", -20, -12),
        new Joint("block.drain-plug", 560, 450, "screw", 20, 8));
  }
}
