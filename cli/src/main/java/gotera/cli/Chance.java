package gotera.cli;

import java.util.Random;

/** Draws at random what a simulated run is made of. */
record Chance(Random random) {
  double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  double logBetween(double low, double high) {
    return Math.exp(between(Math.log(low), Math.log(high)));
  }

  double gauss() {
    return random.nextGaussian();
  }

  int below(int bound) {
    return random.nextInt(bound);
  }

  boolean coin() {
    return random.nextBoolean();
  }
}
