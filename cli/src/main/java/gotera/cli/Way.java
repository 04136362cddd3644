package gotera.cli;

import gotera.simulation.StandInVehicle.Stage;
import java.util.List;

/** How long a hold is, and what it comes after. */
enum Way {
  SHORT("5 to 10 min"),
  TEN("10 min"),
  LONG("15 to 30 min"),
  /** Pressed, pumped up again, held. */
  AGAIN("15 to 30 min, pressed before");

  final String words;

  Way(String words) {
    this.words = words;
  }

  double minutes(Chance chance) {
    return switch (this) {
      case SHORT -> chance.between(5, 10);
      case TEN -> 10;
      case LONG, AGAIN -> chance.between(15, 30);
    };
  }

  List<Stage> before(double rated, double pumping, Chance chance) {
    return this == AGAIN
        ? List.of(new Stage(rated, pumping, 60 * chance.between(15, 30)))
        : List.of();
  }
}
