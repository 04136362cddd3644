package gotera.simulation;

/**
 * Temperatures of an engine that idles, step by step, written apart from what judges them: the
 * block warms by its burner and loses heat to the room, the thermostat lets the radiator in between
 * 80 and 88 °C, and its fan swings the temperature. The coolant grows by a parabola of its own.
 */
final class IdlingEngine {
  private static final double ROOM = 15;
  private static final double HOT = 71;

  private double block = ROOM;
  private double radiator = ROOM;
  private boolean fan;

  /** Goes on for so long (min). */
  void idle(double step) {
    double open = Math.max(0, Math.min(1, (block - 80) / 8));
    double flow = 0.6 * open;
    fan = fan ? block > 86.5 : block > 91;
    block += step * (5.5 - 0.02 * (block - ROOM) - flow * (block - radiator) * 0.6);
    radiator += step * (flow * (block - radiator) - (fan ? 0.15 : 0.11) * (radiator - ROOM));
  }

  double block() {
    return block;
  }

  double radiator() {
    return radiator;
  }

  /** Whether both hoses are hot. */
  boolean hot() {
    return Math.min(block, radiator) > HOT;
  }

  /** Growth of half-and-half against castings since it was cold (1). */
  double grown() {
    double t = 0.6 * block + 0.4 * radiator - ROOM;
    return 4.05e-4 * t + 1.6e-6 * t * t;
  }
}
