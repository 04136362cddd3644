package gotera.web.refill;

import gotera.bubble.FunnelStep;
import gotera.coolant.Chemistry;
import gotera.refill.DryHold;
import gotera.refill.FillSteps;
import gotera.refill.FillSteps.FillStep;
import gotera.refill.FillSteps.School;
import gotera.refill.FillSteps.Way;
import gotera.refill.Purge;
import gotera.web.bubble.FunnelService;
import gotera.web.circuit.CircuitService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.Measures;
import gotera.web.guide.GuideService;
import gotera.web.job.JobService;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import gotera.word.Worded;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What was decided and done at the refill of a job. */
@Service
public class RefillService {
  private static final String CHEMISTRY = "chemistry";
  private static final String MIX = "mix";
  private static final String SCHOOL = "fill-school";
  private static final String AIR_FIRST = "air-first";
  private static final String STEP = "fill-step";
  private static final String PURGE = "purge";
  private static final String IN = "in";
  private static final String YES = "yes";
  private static final String ASSEMBLY = "assembly";
  private static final String POURED = "poured";

  /** Where what is known of the coolant comes from. */
  static final List<String> SOURCES = List.of("label", "log", "history", "call");

  /** What can be said while it is purged, with its opposite. */
  static final List<String> TOLD =
      List.of("cabin-hot", "cabin-cold", "needle-steady", "needle-moves");

  private final FindingService findings;
  private final CircuitService circuits;
  private final FunnelService funnels;
  private final GuideService guides;
  private final RepairService repairs;
  private final DryHolds holds;
  private final JobService jobs;

  RefillService(
      FindingService findings,
      CircuitService circuits,
      FunnelService funnels,
      GuideService guides,
      RepairService repairs,
      DryHolds holds,
      JobService jobs) {
    this.findings = findings;
    this.circuits = circuits;
    this.funnels = funnels;
    this.guides = guides;
    this.repairs = repairs;
    this.holds = holds;
    this.jobs = jobs;
  }

  private Optional<Finding> newest(UUID jobId, String check, String subject) {
    return findings.of(jobId, check).stream()
        .filter(f -> subject.isEmpty() || f.subject().equals(subject))
        .reduce((a, b) -> b);
  }

  /** What is in the system, as far as somebody said. */
  Optional<Chemistry> in(UUID jobId) {
    return newest(jobId, CHEMISTRY, IN).flatMap(f -> Worded.of(Chemistry.class, f.saw()));
  }

  /** From where that is known. */
  String source(UUID jobId) {
    return newest(jobId, CHEMISTRY, IN).map(Finding::note).orElse("");
  }

  /** What goes in. */
  Optional<Chemistry> poured(UUID jobId) {
    return newest(jobId, CHEMISTRY, POURED).flatMap(f -> Worded.of(Chemistry.class, f.saw()));
  }

  /** Writes down what is in, from where that is known, and what goes in. */
  public void chemistry(UUID jobId, Chemistry in, String source, Chemistry poured, String by) {
    write(jobId, CHEMISTRY, IN, in.word(), source, Measures.NONE, by);
    write(jobId, CHEMISTRY, POURED, poured.word(), "", Measures.NONE, by);
  }

  /** The strength that is wanted (1). */
  OptionalDouble wanted(UUID jobId) {
    return newest(jobId, MIX, "").map(f -> f.measures().strength()).orElse(OptionalDouble.empty());
  }

  /** The size of a jug (mL). */
  OptionalDouble jug(UUID jobId) {
    return newest(jobId, MIX, "")
        .map(f -> f.measures().millilitres())
        .orElse(OptionalDouble.empty());
  }

  /** Writes down the strength that is wanted, the size of a jug (mL) and the glycol. */
  public void mix(UUID jobId, double wanted, double jug, String glycol, String by) {
    write(jobId, MIX, glycol, "wanted", "", Measures.mixture(jug, wanted), by);
  }

  /** How it is filled. */
  School school(UUID jobId) {
    return newest(jobId, SCHOOL, "")
        .flatMap(f -> Worded.of(School.class, f.saw()))
        .orElse(School.FUNNEL);
  }

  void school(UUID jobId, School school, String by) {
    write(jobId, SCHOOL, "", school.word(), "", Measures.NONE, by);
  }

  /** Whether dry air is held before it: as somebody said, else after an assembly. */
  boolean airFirst(UUID jobId) {
    return newest(jobId, AIR_FIRST, "")
        .map(f -> f.saw().equals(YES))
        .orElseGet(() -> jobs.require(jobId).reason().equals(ASSEMBLY));
  }

  void airFirst(UUID jobId, boolean first, String by) {
    write(jobId, AIR_FIRST, "", first ? YES : "no", "", Measures.NONE, by);
  }

  /** Whether anything was said or done at it. */
  boolean begun(UUID jobId) {
    return List.of(CHEMISTRY, MIX, SCHOOL, AIR_FIRST, STEP, PURGE).stream()
        .anyMatch(c -> !findings.of(jobId, c).isEmpty());
  }

  /** The steps of this circuit. */
  public List<FillStep> steps(UUID jobId) {
    return FillSteps.of(circuits.circuit(jobId), new Way(school(jobId), airFirst(jobId)));
  }

  /** The finding that says that a step was done. */
  Optional<Finding> done(UUID jobId, FillStep step) {
    return findings.of(jobId, STEP).stream()
        .filter(f -> f.saw().equals(step.does().word()) && f.subject().equals(step.at()))
        .reduce((a, b) -> b);
  }

  /** The hold that does a step, as far as there is one. */
  Optional<DryHolds.Held> hold(UUID jobId, FillStep step) {
    return holds.of(jobId, step);
  }

  /** Whether a step is done: somebody said so, or its hold held. */
  boolean isDone(UUID jobId, FillStep step) {
    return done(jobId, step).isPresent()
        || hold(jobId, step).filter(h -> h.says() == DryHold.HELD).isPresent();
  }

  /** Writes down that a step was done; once. */
  public void doStep(UUID jobId, FillStep step, String by) {
    if (done(jobId, step).isEmpty()) {
      write(jobId, STEP, step.at(), step.does().word(), "", Measures.NONE, by);
    }
  }

  /** Whether something was said last, of it and its opposite. */
  boolean told(UUID jobId, String what, String opposite) {
    return findings.of(jobId, PURGE).stream()
        .filter(f -> f.saw().equals(what) || f.saw().equals(opposite))
        .reduce((a, b) -> b)
        .filter(f -> f.saw().equals(what))
        .isPresent();
  }

  /** Writes down something that was said while it was purged. */
  public void tell(UUID jobId, String what, String by) {
    write(jobId, PURGE, "", what, "", Measures.NONE, by);
  }

  /** What was said while it was purged. */
  List<Finding> said(UUID jobId) {
    return findings.of(jobId, PURGE);
  }

  /** How far the purge is, by the watch of the funnel since the last repair; none without one. */
  Optional<Purge> purge(UUID jobId) {
    Instant since =
        repairs.notes(jobId).stream()
            .map(RepairNote::writtenAt)
            .reduce((a, b) -> b)
            .orElse(Instant.MIN);
    List<Finding> run =
        funnels.now(jobId).stream().filter(f -> f.writtenAt().isAfter(since)).toList();
    List<FunnelStep> steps = FunnelService.steps(run);
    boolean heated = circuits.circuit(jobId).part("heater-core").isPresent();
    return guides
        .neck(jobId, run)
        .map(
            neck ->
                Purge.of(
                    steps,
                    neck,
                    new Purge.Told(
                        heated,
                        told(jobId, "cabin-hot", "cabin-cold"),
                        told(jobId, "needle-steady", "needle-moves"))));
  }

  private void write(
      UUID jobId,
      String check,
      String subject,
      String saw,
      String note,
      Measures measures,
      String by) {
    findings.write(
        jobId, new New(check, subject, saw, measures, Set.of(), note, Optional.empty()), by);
  }
}
