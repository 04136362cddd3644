package gotera.formats;

import gotera.evidence.Posterior;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.standing.Standing;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.suspects.Clue;
import gotera.suspects.Meaning;
import gotera.suspects.Proposal;
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

  /** The suspects of a job as one line, and how it stands. */
  public static String line(String job, JobFile file) {
    Case observed = file.job();
    Assessment assessment = Assessment.of(observed);
    ObjectNode n = MAPPER.createObjectNode();
    n.put("job", job);
    ArrayNode suspects = n.putArray("suspects");
    for (Assessment.Suspect s : assessment.suspects()) {
      ObjectNode suspect = suspects.addObject();
      suspect.put("joint", s.place()).put("probability", rounded(s.probability()));
      ArrayNode reasons = suspect.putArray("reasons");
      for (Posterior.Reason r : s.reasons()) {
        Clue clue = (Clue) r.label();
        ObjectNode reason = reasons.addObject().put("finding", clue.toString());
        clue.state().ifPresent(state -> reason.put("state", state.word()));
        reason.put("log_ratio", rounded(r.logRatio()));
      }
    }
    n.put("nothing_leaks", rounded(assessment.nothingLeaks()));
    observed
        .balance()
        .ifPresent(
            b ->
                n.putObject("balance")
                    .put("unexplained_ml_per_min", rounded(b.unexplained()))
                    .put("u_ml_per_min", rounded(b.unexplainedU())));
    next(n.putArray("next"), assessment);
    ArrayNode flags = n.putArray("flags");
    assessment.flags().forEach(f -> flags.add(f.word()));
    ArrayNode meanings = n.putArray("meanings");
    Meaning.of(observed).forEach(m -> meanings.add(m.word()));
    contradictions(n.putArray("contradictions"), observed);
    n.set("standing", StandingJson.of(Standing.of(file.visit(), Purpose.SIGN_OFF.usual())));
    return MAPPER.writeValueAsString(n);
  }

  private static void contradictions(ArrayNode all, Case observed) {
    observed
        .contradictions()
        .forEach(
            c ->
                all.addObject()
                    .put("kind", c.kind().word())
                    .put("one", c.one().toString())
                    .put("other", c.other().toString()));
  }

  private static void next(ArrayNode next, Assessment assessment) {
    for (Proposal p : assessment.next().stream().limit(MOST_CHECKS).toList()) {
      ObjectNode n = next.addObject().put("check", p.what().toString());
      p.what().state().ifPresent(state -> n.put("state", state.word()));
      if (p.minutes() > 0) {
        n.put("minutes", p.minutes()).put("bits", rounded(p.bits()));
      }
      ArrayNode first = n.putArray("first");
      p.first().forEach(f -> first.add(f.word()));
      ArrayNode settles = n.putArray("settles");
      p.settles().forEach(settles::add);
      n.put("why", p.why().word());
    }
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
