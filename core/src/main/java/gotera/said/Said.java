package gotera.said;

import gotera.suspects.Observation;
import java.util.Optional;

/** One thing that was said, seen or done on a job. */
public sealed interface Said
    permits OpeningSaid,
        CircuitSaid,
        DyeSaid,
        InsideSaid,
        GasCheckSaid,
        FunnelSaid,
        RunningSaid,
        FillSaid,
        RefillSaid,
        CraftSaid,
        RoadSaid {
  /** What it says of the suspects by itself; most say nothing, or only together with others. */
  default Optional<Observation> observation() {
    return Optional.empty();
  }
}
