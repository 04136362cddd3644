package gotera.suspects;

import gotera.balance.Complaint;
import gotera.circuit.DripSpot;
import gotera.word.Worded;
import java.util.Optional;
import java.util.OptionalDouble;

/** What the customer tells. */
public sealed interface Told extends Observation {
  /**
   * So much is lost.
   *
   * @param perWeek loss (mL in a week), positive
   * @param hotHours hours hot in a week (h), positive; empty where nobody knows
   */
  record Loss(double perWeek, OptionalDouble hotHours) implements Told {
    /** The complaint that a measured rate is held against; empty without hours. */
    public Optional<Complaint> complaint() {
      return hotHours.stream().mapToObj(h -> new Complaint(perWeek, h)).findFirst();
    }
  }

  /** A puddle lay there. */
  record Puddle(DripSpot spot) implements Told {}

  /** On what ground it stands: on loose ground no puddle is seen. */
  record Ground(Surface surface) implements Told {}

  /** How it is driven: on short trips water gathers in the oil. */
  record Trips(Length length) implements Told {}

  /** What it stands on. */
  enum Surface implements Worded {
    /** Paved: a puddle is seen. */
    HARD,
    /** Gravel, earth, forest: a puddle is not seen. */
    SOFT
  }

  /** How far it is driven. */
  enum Length implements Worded {
    /** The engine seldom gets warm. */
    SHORT,
    /** It gets warm. */
    LONG
  }
}
