package gotera.web.retest;

import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.retest.Circumstance;
import gotera.retest.CombinedProof;
import gotera.retest.Shown;
import gotera.standing.Standing;
import gotera.web.figures.Figures;
import gotera.web.retest.ProofPage.ProofLine;
import gotera.web.retest.ProofPage.Road;
import gotera.web.words.Words;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says what is proven, circumstance by circumstance. */
@Component
public class ProofPages {
  private static final Map<Circumstance, String> DONE_AT =
      Map.of(
          Circumstance.PRESSED, "re-test",
          Circumstance.PARKED, "level-watch",
          Circumstance.RUNNING, "find/running",
          Circumstance.DRIVEN, "re-test/proof#road",
          Circumstance.OVER_WEEKS, "level-watch");

  private final ProofService proofs;
  private final NotProven notProven;
  private final Words words;

  ProofPages(ProofService proofs, NotProven notProven, Words words) {
    this.proofs = proofs;
    this.notProven = notProven;
    this.words = words;
  }

  /** What a job's page shows of its proof. */
  public ProofPage page(UUID jobId, Figures figures) {
    Standing standing = proofs.of(jobId);
    CombinedProof proof = standing.proof();
    return new ProofPage(
        proof.proven(),
        !standing.again().isEmpty(),
        statement(jobId, standing, figures),
        proof.lines().stream().map(l -> line(jobId, l, figures)).toList(),
        proofs.roads(jobId).stream()
            .map(
                f ->
                    new Road(
                        f.id().toString(), words.say("road-test.saw." + f.said().showed().word())))
            .toList());
  }

  private String statement(UUID jobId, Standing standing, Figures figures) {
    CombinedProof proof = standing.proof();
    if (!standing.again().isEmpty()) {
      return words.say(
          "proof.failed",
          standing.again().stream()
              .map(a -> notProven.said(jobId, a))
              .collect(Collectors.joining("; ")));
    }
    if (proof.lines().isEmpty()) {
      return words.say("proof.nothing-showed");
    }
    if (!proof.proven()) {
      return words.say("proof.open", proof.open().size(), proof.lines().size());
    }
    String still = Figures.plain(Math.floor(1 / proof.leaksStill()));
    return proof
        .weakest()
        .map(
            l ->
                words.say(
                    "proof.proven",
                    Figures.bound(l.by().orElseThrow().bound().orElse(0)),
                    when(l.shown(), figures),
                    still))
        .orElseGet(() -> words.say("proof.proven-without-bound", still));
  }

  private ProofLine line(UUID jobId, CombinedProof.Shows line, Figures figures) {
    Circumstance when = line.shown().when();
    boolean open = line.by().isEmpty();
    return new ProofLine(
        when(line.shown(), figures),
        line.by().map(notProven::by).orElse(""),
        open ? todo(line, figures) + soFar(line) : "",
        "/jobs/" + jobId + "/" + DONE_AT.get(when));
  }

  private String when(Shown shown, Figures figures) {
    String when = words.say("circumstance." + shown.when().word());
    if (shown.gauge().isPresent()) {
      return words.say("proof.at", when, figures.pressure(shown.gauge().getAsDouble()));
    }
    return shown.after().isPresent()
        ? words.say("proof.after", when, Figures.plain(shown.after().getAsDouble()))
        : when;
  }

  /** What repeats it and is not enough. */
  private String soFar(CombinedProof.Shows line) {
    return line.nearest().map(n -> " " + words.say("proof.so-far", notProven.by(n))).orElse("");
  }

  private String todo(CombinedProof.Shows line, Figures figures) {
    Shown shown = line.shown();
    return switch (shown.when()) {
      case PRESSED ->
          shown.gauge().isPresent()
              ? words.say(
                  "proof.todo.pressed-at",
                  Figures.plain(Purpose.SIGN_OFF.usual()),
                  figures.pressure(shown.gauge().getAsDouble()))
              : words.say("proof.todo.pressed", Figures.plain(Purpose.SIGN_OFF.usual()));
      case RUNNING ->
          words.say("proof.todo.running", Figures.plain(Math.ceil(line.minutes().orElse(0))));
      case PARKED, DRIVEN, OVER_WEEKS -> words.say("proof.todo." + shown.when().word());
    };
  }
}
