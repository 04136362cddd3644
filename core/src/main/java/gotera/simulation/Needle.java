package gotera.simulation;

import gotera.simulation.StandInVehicle.Instruments;
import java.util.Random;

/** A needle with noise, steps, and perhaps friction. */
final class Needle {
  private final Instruments instruments;
  private final Random random;
  private final double play;
  private double stands;
  private double follows;

  Needle(Instruments instruments, double play, Random random) {
    this.instruments = instruments;
    this.play = play;
    this.random = random;
  }

  double shows(double gauge) {
    if (Math.abs(gauge - stands) > instruments.sticks()) {
      stands = gauge;
    }
    follows = Math.min(Math.max(follows, stands - play), stands + play);
    return shown(follows, instruments.gaugeNoise(), instruments.gaugeStep(), random);
  }

  /** What an instrument shows of a value. */
  static double shown(double value, double noise, double step, Random random) {
    return Math.rint((value + noise * random.nextGaussian()) / step) * step;
  }
}
