package gotera.web.retest;

import gotera.pressure.law.Medium;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.VerdictKind;
import gotera.retest.Circumstance;
import gotera.retest.CombinedProof;
import gotera.retest.Proof;
import gotera.retest.Repeat;
import gotera.retest.Showings;
import gotera.retest.Shown;
import gotera.said.RoadSaid.Driven;
import gotera.said.RoadSaid.RoadTest;
import gotera.web.evidence.Cases;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.level.LevelService;
import gotera.web.look.RunningService;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What everything that was repeated since the last repair of a job proves together. */
@Service
public class ProofService {
  /** Verdicts that say whether it leaks still; the others leave it as it was. */
  private static final Set<VerdictKind> SAYS =
      EnumSet.of(VerdictKind.TIGHT, VerdictKind.LEAK, VerdictKind.GROSS, VerdictKind.STOPPED);

  private final Cases cases;
  private final RepairService repairs;
  private final PressureService tests;
  private final RunningService runs;
  private final LevelService levels;
  private final FindingService findings;

  ProofService(
      Cases cases,
      RepairService repairs,
      PressureService tests,
      RunningService runs,
      LevelService levels,
      FindingService findings) {
    this.cases = cases;
    this.repairs = repairs;
    this.tests = tests;
    this.runs = runs;
    this.levels = levels;
    this.findings = findings;
  }

  /** What is proven now. */
  public CombinedProof of(UUID jobId) {
    Instant since =
        repairs.notes(jobId).stream()
            .map(RepairNote::writtenAt)
            .max(Comparator.naturalOrder())
            .orElse(Instant.MAX);
    List<Shown> shown = new ArrayList<>(Showings.of(cases.of(jobId).observed()));
    List<Repeat> repeats = new ArrayList<>();
    List<Circumstance> failed = new ArrayList<>();
    run(jobId, since, shown, repeats, failed);
    hold(jobId, since, repeats, failed);
    road(jobId, since, repeats, failed);
    marks(jobId, since, repeats, failed);
    return CombinedProof.of(shown, repeats, failed, Purpose.SIGN_OFF.usual());
  }

  private void run(
      UUID jobId,
      Instant since,
      List<Shown> shown,
      List<Repeat> repeats,
      List<Circumstance> failed) {
    runs.shownAfter(jobId).ifPresent(minutes -> shown.add(Shown.running(minutes)));
    runs.dryFor(jobId, since).ifPresent(m -> repeats.add(new Repeat.DryRun(m)));
    if (runs.drippedSince(jobId, since)) {
      failed.add(Circumstance.RUNNING);
    }
  }

  /** The newest test of this repair that says something of coolant. */
  private void hold(UUID jobId, Instant since, List<Repeat> repeats, List<Circumstance> failed) {
    tests.all(jobId).stream()
        .filter(t -> t.phase() == Phase.RE_TEST && t.hold().medium() == Medium.LIQUID)
        .filter(t -> t.finishedAt().filter(since::isBefore).isPresent())
        .filter(t -> SAYS.contains(t.result().verdict()))
        .reduce((a, b) -> b)
        .ifPresent(
            t -> {
              if (Proof.of(Optional.empty(), t.result()) instanceof Proof.Zero zero) {
                double rated = t.conditions().rated().kilopascals();
                repeats.add(new Repeat.Hold(zero.bound(), zero.atRated() ? rated : zero.upTo()));
              } else {
                failed.add(Circumstance.PRESSED);
              }
            });
  }

  private void road(UUID jobId, Instant since, List<Repeat> repeats, List<Circumstance> failed) {
    roads(jobId).stream()
        .filter(f -> f.writtenAt().isAfter(since))
        .reduce((a, b) -> b)
        .ifPresent(
            f -> {
              if (f.said().showed().good()) {
                repeats.add(new Repeat.Drive());
              } else {
                failed.add(Circumstance.DRIVEN);
              }
            });
  }

  private void marks(UUID jobId, Instant since, List<Repeat> repeats, List<Circumstance> failed) {
    levels
        .since(jobId, since)
        .ifPresent(
            w -> {
              if (w.watch().falls()) {
                failed.add(Circumstance.OVER_WEEKS);
              } else {
                repeats.add(
                    new Repeat.Marks(w.watch().upper(), w.watch().standing(w.days()), w.days()));
              }
            });
  }

  /** Road tests that were written down. */
  List<Finding<Driven>> roads(UUID jobId) {
    return findings.of(jobId, Driven.class);
  }

  void road(UUID jobId, RoadTest showed, String by) {
    findings.write(jobId, new Driven(showed), by);
  }
}
