package gotera.said;

import gotera.suspects.Checked.Felt;
import gotera.suspects.Observation;
import gotera.word.Worded;
import java.util.Optional;

/** What was found at the circuit beside the looks at its joints. */
public sealed interface CircuitSaid extends Said {
  /** It drips from a spot. */
  record Dripping(Observation.Dripped where) implements CircuitSaid {
    @Override
    public Optional<Observation> observation() {
      return Optional.of(where);
    }
  }

  /** A place is in a condition that is no wetness. */
  record InCondition(Felt felt) implements CircuitSaid {
    @Override
    public Optional<Observation> observation() {
      return Optional.of(felt);
    }
  }

  /**
   * A place begins or stops to drip at a pressure: what a re-test must exceed.
   *
   * @param place the place
   * @param what which of the two
   * @param kilopascals the gauge then (kPa)
   */
  record DripsAt(String place, Drips what, double kilopascals) implements CircuitSaid {}

  /** What drops do at a pressure. */
  enum Drips implements Worded {
    BEGINS,
    STOPS
  }

  /** The heater's valve was shut, or opened again. */
  record HeaterValve(boolean shut) implements CircuitSaid {}
}
