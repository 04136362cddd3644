package gotera.formats;

import gotera.evidence.Check;
import gotera.evidence.Diagnosis;
import gotera.evidence.Posterior;
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
  public static String line(String job, JobFindings findings) {
    Diagnosis diagnosis = Diagnosis.of(findings.places(), findings.found());
    ObjectNode n = MAPPER.createObjectNode();
    n.put("job", job);
    ArrayNode suspects = n.putArray("suspects");
    for (Diagnosis.Suspect s : diagnosis.suspects()) {
      ObjectNode suspect = suspects.addObject();
      suspect.put("joint", s.place()).put("probability", rounded(s.probability()));
      ArrayNode reasons = suspect.putArray("reasons");
      for (Posterior.Reason r : s.reasons()) {
        reasons.addObject().put("finding", r.finding()).put("log_ratio", rounded(r.logRatio()));
      }
    }
    findings
        .found()
        .rate()
        .ifPresent(
            r ->
                n.putObject("balance")
                    .put("unexplained_ml_per_min", rounded(r.left()))
                    .put("u_ml_per_min", rounded(r.u())));
    ArrayNode next = n.putArray("next");
    for (Check.Ranked r : diagnosis.next().stream().limit(MOST_CHECKS).toList()) {
      next.addObject()
          .put("check", r.check().name())
          .put("minutes", r.check().minutes())
          .put("bits", rounded(r.bits()));
    }
    ArrayNode flags = n.putArray("flags");
    findings.flags().forEach(flags::add);
    return MAPPER.writeValueAsString(n);
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
