package gotera.web.retest;

import gotera.drawing.Curve;
import gotera.drawing.CurveDrawing;
import gotera.pressure.PressureTestResult;
import gotera.pressure.verdict.VerdictKind;
import gotera.retest.Proof;
import gotera.web.figures.Figures;
import gotera.web.pressure.HoldCurve;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.repair.RepairService;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Lays before and after over each other and says what the re-test proves. */
@Service
public class RetestService {
  private final PressureService tests;
  private final VerdictWords verdicts;
  private final HoldCurve curves;
  private final RepairService repairs;
  private final Words words;

  RetestService(
      PressureService tests,
      VerdictWords verdicts,
      HoldCurve curves,
      RepairService repairs,
      Words words) {
    this.tests = tests;
    this.verdicts = verdicts;
    this.curves = curves;
    this.repairs = repairs;
    this.words = words;
  }

  /** The page, once there is a re-test with readings. */
  public Optional<RetestPage> page(UUID jobId, Figures figures) {
    return tests
        .latest(jobId, Phase.RE_TEST)
        .filter(t -> t.trace().size() > 0)
        .map(after -> page(jobId, showing(jobId), after, figures));
  }

  /** The last test before the repair that showed the leak, else the last one. */
  private Optional<PressureTestView> showing(UUID jobId) {
    List<PressureTestView> search =
        tests.all(jobId).stream().filter(t -> t.phase() == Phase.SEARCH).toList();
    return search.stream()
        .filter(
            t ->
                t.result().verdict() == VerdictKind.LEAK
                    || t.result().verdict() == VerdictKind.GROSS
                    || t.result().verdict() == VerdictKind.STOPPED)
        .reduce((a, b) -> b)
        .or(() -> search.stream().reduce((a, b) -> b));
  }

  private RetestPage page(
      UUID jobId, Optional<PressureTestView> before, PressureTestView after, Figures figures) {
    Optional<PressureTestResult> resultBefore = before.map(PressureTestView::result);
    Proof proof = Proof.of(resultBefore, after.result());
    VerdictWords.Said said = verdicts.said(after, figures);
    List<Curve.Run> runs = runs(before, after);
    return new RetestPage(
        proof instanceof Proof.Zero,
        after.finishedAt().isPresent(),
        said.shape(),
        statement(proof, said, after.conditions().rated().kilopascals(), figures),
        details(jobId, proof, before, after, figures),
        proof instanceof Proof.Missing missing
            ? missing.reasons().stream().map(r -> verdicts.reason(r, figures)).toList()
            : List.of(),
        change(proof),
        before.map(b -> verdicts.said(b, figures).headline()),
        curves.curve(runs, after, figures, CurveDrawing.Size.WIDE),
        curves.curve(runs, after, figures, CurveDrawing.Size.NARROW),
        "/jobs/" + jobId + "/report");
  }

  private List<Curve.Run> runs(Optional<PressureTestView> before, PressureTestView after) {
    List<Curve.Run> runs = new ArrayList<>();
    before.filter(b -> b.trace().size() > 0).ifPresent(b -> runs.add(curves.run(b)));
    runs.add(curves.run(after));
    return runs;
  }

  /** Both curves over each other for a customer's page; empty where nothing was tested again. */
  public Optional<String> drawn(UUID jobId, Figures figures) {
    return tests
        .latest(jobId, Phase.RE_TEST)
        .filter(t -> t.trace().size() > 0)
        .map(
            after ->
                curves.curve(runs(showing(jobId), after), after, figures, CurveDrawing.Size.PAGE));
  }

  private String statement(Proof proof, VerdictWords.Said said, double rated, Figures figures) {
    if (proof instanceof Proof.Zero zero) {
      return zero.atRated()
          ? words.say("retest.zero-at-rated", Figures.bound(zero.bound()), figures.pressure(rated))
          : words.say("retest.zero", Figures.bound(zero.bound()), figures.pressure(zero.upTo()));
    }
    return words.say("retest.missing", said.headline());
  }

  private List<String> details(
      UUID jobId,
      Proof proof,
      Optional<PressureTestView> before,
      PressureTestView after,
      Figures figures) {
    List<String> details = new ArrayList<>();
    if (proof instanceof Proof.Zero zero) {
      details.add(
          words.say(zero.shownBefore() ? "retest.shown-before" : "retest.not-shown-before"));
      details.add(
          words.say(
              zero.atRated() ? "retest.pumped-again" : "retest.up-to",
              figures.pressure(zero.upTo()),
              figures.pressure(after.conditions().rated().kilopascals())));
    }
    if (before.isPresent() && before.get().result().rate().isEmpty()) {
      details.add(words.say("retest.no-rate-before"));
    }
    if (repairs.notes(jobId).isEmpty()) {
      details.add(words.say("retest.no-repair"));
    }
    return details;
  }

  private Optional<String> change(Proof proof) {
    Optional<Proof.Change> change =
        proof instanceof Proof.Zero zero ? zero.change() : ((Proof.Missing) proof).change();
    return change.map(
        c ->
            words.say(
                "retest.change", Figures.rate(c.difference(), c.u()), Figures.halfWidth(c.u())));
  }
}
