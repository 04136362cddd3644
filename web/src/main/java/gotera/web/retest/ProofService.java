package gotera.web.retest;

import gotera.pressure.law.Medium;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.VerdictKind;
import gotera.retest.Circumstance;
import gotera.retest.Proof;
import gotera.retest.Repeat;
import gotera.retest.Shown;
import gotera.said.RoadSaid.Driven;
import gotera.said.RoadSaid.RoadTest;
import gotera.standing.Happened;
import gotera.standing.LeaksAgain;
import gotera.standing.LeaksAgain.By;
import gotera.standing.LeaksTwice;
import gotera.standing.Standing;
import gotera.standing.Visit;
import gotera.suspects.Observation;
import gotera.web.evidence.Cases;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.level.LevelService;
import gotera.web.look.RunningService;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
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

  /** What is proven now, and what takes it back. */
  public Standing of(UUID jobId) {
    return Standing.of(visit(jobId), Purpose.SIGN_OFF.usual());
  }

  /** Everything that it follows from. */
  public Visit visit(UUID jobId) {
    List<Happened<Observation>> observed = cases.visit(jobId);
    List<Happened<Repeat>> repeated = new ArrayList<>();
    List<LeaksAgain> failed = new ArrayList<>();
    Optional<Instant> repaired =
        repairs.notes(jobId).stream().map(RepairNote::at).max(Comparator.naturalOrder());
    List<Shown> shown = runs(jobId, repeated, failed);
    holds(jobId, repaired.orElse(Instant.MAX), repeated, failed);
    roads(jobId, repeated, failed);
    repaired
        .flatMap(since -> levels.since(jobId, since))
        .ifPresent(w -> marks(w, repeated, failed));
    return new Visit(observed, shown, repeated, failed);
  }

  /** Whether a test of the job found it tight. */
  boolean isTestedTight(UUID jobId) {
    return tests.all(jobId).stream()
        .anyMatch(t -> t.finishedAt().isPresent() && t.result().verdict() == VerdictKind.TIGHT);
  }

  /** Places that were repaired on this vehicle before, and leak again. */
  List<LeaksTwice> twice(UUID jobId) {
    return LeaksTwice.of(cases.visit(jobId), repairs.mended(jobId));
  }

  private List<Shown> runs(UUID jobId, List<Happened<Repeat>> repeated, List<LeaksAgain> failed) {
    runs.dryRuns(jobId)
        .forEach(f -> repeated.add(new Happened<>(f.at(), new Repeat.DryRun(f.said().minutes()))));
    runs.drops(jobId)
        .forEach(
            f ->
                failed.add(new LeaksAgain(Circumstance.RUNNING, By.RUN, f.said().joint(), f.at())));
    return runs.drops(jobId).stream().map(f -> Shown.running(f.said().minutes())).toList();
  }

  /**
   * Tests that say something of coolant. What is seen while one runs is newer than it, so it stands
   * where it began, unless the repair was written down meanwhile.
   */
  private void holds(
      UUID jobId, Instant repaired, List<Happened<Repeat>> repeated, List<LeaksAgain> failed) {
    for (PressureTestView t : tests.all(jobId)) {
      boolean says =
          t.phase() == Phase.RE_TEST
              && t.hold().medium() == Medium.LIQUID
              && t.finishedAt().isPresent()
              && SAYS.contains(t.result().verdict());
      if (says && Proof.of(Optional.empty(), t.result()) instanceof Proof.Zero zero) {
        double upTo = zero.atRated() ? t.conditions().rated().kilopascals() : zero.upTo();
        Instant at = t.startedAt().isAfter(repaired) ? t.startedAt() : t.finishedAt().get();
        repeated.add(new Happened<>(at, new Repeat.Hold(zero.bound(), upTo)));
      } else if (says) {
        failed.add(new LeaksAgain(Circumstance.PRESSED, By.HOLD, "", t.finishedAt().get()));
      }
    }
  }

  private void roads(UUID jobId, List<Happened<Repeat>> repeated, List<LeaksAgain> failed) {
    for (Finding<Driven> f : roads(jobId)) {
      if (f.said().showed().good()) {
        repeated.add(new Happened<>(f.at(), new Repeat.Drive()));
      } else {
        failed.add(new LeaksAgain(Circumstance.DRIVEN, By.ROAD, "", f.at()));
      }
    }
  }

  private static void marks(
      LevelService.Watched w, List<Happened<Repeat>> repeated, List<LeaksAgain> failed) {
    if (w.watch().falls()) {
      failed.add(new LeaksAgain(Circumstance.OVER_WEEKS, By.LEVEL, "", w.last()));
    } else {
      repeated.add(
          new Happened<>(
              w.last(),
              new Repeat.Marks(w.watch().upper(), w.watch().standing(w.days()), w.days())));
    }
  }

  /** Road tests that were written down. */
  List<Finding<Driven>> roads(UUID jobId) {
    return findings.of(jobId, Driven.class);
  }

  void road(UUID jobId, RoadTest showed, String by) {
    findings.write(jobId, new Driven(showed), by);
  }
}
