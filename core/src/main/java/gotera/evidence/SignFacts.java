package gotera.evidence;

import java.util.Map;

/**
 * What a sign tells.
 *
 * @param sign its name
 * @param causes probability that a leak at a place causes it
 * @param falseAlarm probability of it without any of them
 */
public record SignFacts(String sign, Map<String, Double> causes, double falseAlarm) {
  /** Keeps its own copy. */
  public SignFacts {
    causes = Map.copyOf(causes);
  }
}
