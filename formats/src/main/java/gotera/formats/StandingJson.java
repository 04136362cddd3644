package gotera.formats;

import gotera.retest.CombinedProof;
import gotera.retest.Repeat;
import gotera.standing.LeaksAgain;
import gotera.standing.Standing;
import java.util.Optional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes what stands of a job: {@code gotera-standing/1}. It is worked out anew when it is read.
 */
public final class StandingJson {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private StandingJson() {}

  /** A standing as one object. */
  public static String text(Standing standing) {
    return MAPPER.writeValueAsString(of(standing));
  }

  /** The same as a node of another. */
  static ObjectNode of(Standing standing) {
    ObjectNode n = MAPPER.createObjectNode().put("format", "gotera-standing/1");
    n.put("proven", standing.isProven());
    ArrayNode showed = n.putArray("showed");
    for (CombinedProof.Shows line : standing.proof().lines()) {
      ObjectNode shown = showed.addObject().put("when", line.shown().when().word());
      line.shown().gauge().ifPresent(kpa -> shown.put("from_kpa", kpa));
      shown.put("covered", line.by().isPresent());
      repeat(shown, line.by().or(line::nearest));
    }
    ArrayNode again = n.putArray("leaks_again");
    for (LeaksAgain leak : standing.again()) {
      ObjectNode l = again.addObject().put("by", leak.by().word());
      l.put("when", leak.when().word()).put("at", leak.at().toString());
      if (!leak.place().isEmpty()) {
        l.put("place", leak.place());
      }
    }
    return n;
  }

  private static void repeat(ObjectNode n, Optional<Repeat> repeat) {
    repeat
        .filter(r -> r.bound().isPresent() && Double.isFinite(r.bound().getAsDouble()))
        .ifPresent(r -> n.put("upper_bound_ml_per_min", r.bound().getAsDouble()));
  }
}
