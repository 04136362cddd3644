package gotera.web.circuit;

import java.util.Map;
import java.util.UUID;

/** How a feature that weighs findings tells the drawing which joints are suspected. */
public interface Suspicion {
  /** Probability that a joint leaks, by its code. */
  Map<String, Double> suspected(UUID jobId);
}
