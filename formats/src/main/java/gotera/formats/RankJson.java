package gotera.formats;

import gotera.evidence.Check;
import gotera.evidence.Diagnosis;
import gotera.evidence.Posterior;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.suspects.Flag;
import gotera.suspects.Vocabulary;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the suspects of a job, one JSON object a line. */
public final class RankJson {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final int MOST_CHECKS = 5;

  private RankJson() {}

  /** The suspects of a job as one line. */
  public static String line(String job, Case observed) {
    Assessment assessment = Assessment.of(observed);
    ObjectNode n = MAPPER.createObjectNode();
    n.put("job", job);
    ArrayNode suspects = n.putArray("suspects");
    for (Diagnosis.Suspect s : assessment.suspects()) {
      ObjectNode suspect = suspects.addObject();
      suspect.put("joint", s.place()).put("probability", rounded(s.probability()));
      ArrayNode reasons = suspect.putArray("reasons");
      for (Posterior.Reason r : s.reasons()) {
        reasons
            .addObject()
            .put("finding", r.finding().toString())
            .put("log_ratio", rounded(r.logRatio()));
      }
    }
    assessment
        .diagnosis()
        .found()
        .rate()
        .ifPresent(
            r ->
                n.putObject("balance")
                    .put("unexplained_ml_per_min", rounded(r.left()))
                    .put("u_ml_per_min", rounded(r.u())));
    next(n.putArray("next"), assessment);
    ArrayNode flags = n.putArray("flags");
    observed.flags().forEach(f -> flags.add(flag(f)));
    return MAPPER.writeValueAsString(n);
  }

  private static void next(ArrayNode next, Assessment assessment) {
    if (assessment.repairComesNext()) {
      next.addObject().put("check", "repair");
    }
    for (Check.Ranked r : assessment.next().stream().limit(MOST_CHECKS).toList()) {
      next.addObject()
          .put("check", r.check().label().toString())
          .put("minutes", r.check().minutes())
          .put("bits", rounded(r.bits()));
    }
  }

  private static String flag(Flag flag) {
    return flag instanceof Flag.SamePart same
        ? "gas-check-first:" + same.part()
        : "combustion-gas-does-not-count:"
            + String.join(",", ((Flag.GasDoesNotCount) flag).conditions());
  }

  /** The vocabulary, one JSON object a line. */
  public static List<String> vocabulary() {
    return Vocabulary.published().entries().stream()
        .map(
            e -> {
              ObjectNode n = MAPPER.createObjectNode();
              n.put("kind", e.kind()).put("name", e.name());
              ArrayNode synonyms = n.putArray("synonyms");
              e.synonyms().forEach(synonyms::add);
              n.put("status", e.status());
              return MAPPER.writeValueAsString(n);
            })
        .toList();
  }

  private static double rounded(double value) {
    return Math.rint(value * 1e4) / 1e4;
  }
}
