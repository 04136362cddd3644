package gotera.pressure;

import gotera.fitting.Mixture;
import gotera.pressure.SlowCreep.Shape;
import gotera.pressure.law.LeakLaw;
import java.util.List;

/**
 * A mixture over a grid of the settling's time constant, the laws of leaking and the shapes of the
 * slow creep.
 *
 * @param mixture the posteriors of (o, q, A, b), weighed
 * @param parts what each is of
 */
record HoldFit(Mixture mixture, List<Part> parts) {
  private static final double FEWEST_NODES = 6; // effective
  private static final double NEGLIGIBLE = 1e-6;

  /** A node of the grid. */
  record Part(LeakLaw law, double tau, Shape shape) {}

  /** An even grid over z, the standardised ln τ. */
  record Grid(double from, double to) {
    static final int NODES = 21;
    private static final double HALF_WIDTH = 3; // standard deviations of the prior
    static final Grid WHOLE = new Grid(-HALF_WIDTH, HALF_WIDTH);

    double node(int j) {
      return from + (to - from) * j / (NODES - 1);
    }

    double spacing() {
      return (to - from) / (NODES - 1);
    }
  }

  /** Weight of a node, its laws and shapes together. */
  private double weight(int j) {
    int each = LeakLaw.values().length * Shape.values().length;
    double sum = 0;
    for (int i = 0; i < each; i++) {
      sum += mixture.weights()[j * each + i];
    }
    return sum;
  }

  /** Whether so few nodes carry the probability that their distance shows. */
  boolean tooCoarse() {
    double square = 0;
    for (int j = 0; j < Grid.NODES; j++) {
      square += weight(j) * weight(j);
    }
    return 1 / square < FEWEST_NODES;
  }

  /** The part of a grid that carries the probability. */
  Grid around(Grid grid) {
    int first = 0;
    int last = Grid.NODES - 1;
    while (weight(first) < NEGLIGIBLE) {
      first++;
    }
    while (weight(last) < NEGLIGIBLE) {
      last--;
    }
    return new Grid(
        Math.max(grid.from(), grid.node(first) - grid.spacing()),
        Math.min(grid.to(), grid.node(last) + grid.spacing()));
  }

  /**
   * Part of the standard deviation of the rate that is there because the slow creep is not known.
   */
  double creepU() {
    return mixture.by(1, 3);
  }

  /** The most probable node. */
  Part best() {
    return parts.get(mixture.best());
  }
}
