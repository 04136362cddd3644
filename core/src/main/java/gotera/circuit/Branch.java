package gotera.circuit;

import gotera.word.Worded;

/** A stretch of the flow that coolant reaches or does not reach as a whole. */
public enum Branch implements Worded {
  /** Engine, pump and what flows through at once. */
  ENGINE(Gate.NONE, false),
  /** Radiator and its two hoses: no flow before the thermostat opens. */
  RADIATOR(Gate.THERMOSTAT, false),
  /** Bottle or tank and their hoses. */
  TANK(Gate.NONE, false),
  /** Heater: no flow while its valve is shut. */
  HEATER(Gate.HEATER_VALVE, true),
  /** Second heater in the rear, behind the same valve. */
  REAR_HEATER(Gate.HEATER_VALVE, true),
  /** Oil cooler. */
  OIL_COOLER(Gate.NONE, false),
  /** Gearbox fluid in the radiator's lower tank. */
  GEARBOX_COOLER(Gate.THERMOSTAT, true),
  /** Cooler of the exhaust gas led back. */
  EXHAUST_COOLER(Gate.NONE, false),
  /** Lines of the turbocharger. */
  TURBO(Gate.NONE, true),
  /** Hoses of a liquid-cooled alternator. */
  ALTERNATOR(Gate.THERMOSTAT, true),
  /** Inverter, motor and charger of an electric drive. */
  DRIVE(Gate.NONE, false),
  /** Battery plate and chiller of an electric drive. */
  BATTERY(Gate.NONE, false);

  private final Gate gate;
  private final boolean canBeLoopedOff;

  Branch(Gate gate, boolean canBeLoopedOff) {
    this.gate = gate;
    this.canBeLoopedOff = canBeLoopedOff;
  }

  /** What opens it. */
  public Gate gate() {
    return gate;
  }

  /** Whether it can be cut out by joining its two hoses. */
  public boolean canBeLoopedOff() {
    return canBeLoopedOff;
  }

  /** What lets coolant flow into a branch. */
  public enum Gate {
    /** Nothing: it flows at once. */
    NONE,
    /** The thermostat. */
    THERMOSTAT,
    /** The heater's valve. */
    HEATER_VALVE
  }
}
