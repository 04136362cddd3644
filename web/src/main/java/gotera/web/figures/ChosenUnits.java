package gotera.web.figures;

import gotera.quantity.Units;
import java.util.Optional;

/** Keeps the units that each person reads and types in. */
public interface ChosenUnits {
  /** The units of an account, if there is one of this name. */
  Optional<Units> of(String login);

  /** Changes the units of an account. */
  void choose(String login, Units units);
}
