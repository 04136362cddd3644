package gotera.look;

import gotera.circuit.DripTrace;
import gotera.evidence.Finding;
import gotera.evidence.Label;
import java.util.HashMap;
import java.util.Map;

/** A drip at a spot, as what it says about the joints that can feed it. */
public final class DripFinding {
  /** A drip from a place without a name in the same region (our judgement, untested). */
  private static final double FROM_ELSEWHERE = 0.1;

  private DripFinding() {}

  /** The finding of a traced drip. */
  public static Finding of(DripTrace trace) {
    Map<String, Double> causes = new HashMap<>(trace.feeds());
    causes.put("elsewhere." + trace.spot().region(), FROM_ELSEWHERE);
    return new Finding.InRegion(
        new Label("drip", trace.spot().word()), true, causes, DripTrace.FALSE_ALARM);
  }
}
