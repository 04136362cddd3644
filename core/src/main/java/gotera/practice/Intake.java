package gotera.practice;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.evidence.Mode;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Sign;
import gotera.suspects.Told;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** What the customer of a practice vehicle tells. */
final class Intake {
  private static final double HOT_HOURS = 6;
  private static final double HOURS = 168;

  private final PracticeVehicle vehicle;
  private final Random random;
  private final List<Observation> told = new ArrayList<>();

  private Intake(PracticeVehicle vehicle, Random random) {
    this.vehicle = vehicle;
    this.random = random;
  }

  /** All of it. */
  static List<Observation> of(PracticeVehicle vehicle, Random random) {
    Intake intake = new Intake(vehicle, random);
    if (vehicle.leaks().isEmpty()) {
      // nothing is lost: a smell, a stain, an old puddle brought it in
      intake.sign(0.4, "puddle-overnight");
      intake.sign(0.3, "sweet-smell-cabin");
    } else {
      intake.loss();
      vehicle.leaks().forEach(intake::shows);
      intake.sign(0.03, "puddle-overnight");
    }
    return intake.told;
  }

  private void sign(double probability, String sign) {
    boolean known = told.stream().anyMatch(o -> o instanceof Sign s && s.sign().equals(sign));
    if (!known && random.nextDouble() < probability) {
      told.add(new Sign(sign));
    }
  }

  private void loss() {
    double lost =
        vehicle.leaks().stream()
            .mapToDouble(l -> 60 * l.rate() * (l.mode() == Mode.COLD ? 0.05 * HOURS : HOT_HOURS))
            .sum();
    double guessed = lost * Math.exp(0.4 * random.nextGaussian());
    if (random.nextDouble() < 0.8 && guessed > 20) {
      told.add(
          new Told.Loss(
              Math.min(100_000, guessed),
              random.nextBoolean() ? OptionalDouble.of(HOT_HOURS) : OptionalDouble.empty()));
    }
  }

  private void shows(HiddenLeak leak) {
    boolean cold = PracticeVehicle.cold(leak);
    if (PracticeVehicle.inside(leak.place())) {
      sign(0.6, "never-on-the-ground");
      sign(leak.place().startsWith("inside.") ? 0.4 : 0.05, "white-smoke");
      sign(leak.place().equals("inside.head-gasket") ? 0.3 : 0, "needle-rises");
      return;
    }
    double seen = 1 - Math.exp(-leak.rate());
    sign(cold ? 0.5 * seen : 0.03, "puddle-overnight");
    sign(leak.mode() == Mode.ROTATION ? 0.5 : cold ? 0.1 : 0.4, "loss-while-running");
    sign(leak.mode() == Mode.HEAT || leak.mode() == Mode.ROTATION ? 0.4 : 0.15, "loss-after-drive");
    Optional<Joint> at = vehicle.circuit.joint(leak.place());
    boolean cabin = at.filter(j -> j.at().x() > Circuit.FIREWALL).isPresent();
    if (cabin) {
      sign(0.6, "sweet-smell-cabin");
      sign(0.4 * seen, "wet-footwell");
    } else {
      double x = at.map(j -> j.at().x()).orElse(0.0);
      sign(0.4 * seen, x < 330 ? "drip-front" : x < 600 ? "drip-middle" : "drip-rear");
    }
  }
}
