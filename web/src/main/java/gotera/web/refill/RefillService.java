package gotera.web.refill;

import gotera.bubble.FunnelStep;
import gotera.coolant.Chemistry;
import gotera.refill.DryHold;
import gotera.refill.FillSteps;
import gotera.refill.FillSteps.FillStep;
import gotera.refill.FillSteps.School;
import gotera.refill.FillSteps.Way;
import gotera.refill.Purge;
import gotera.said.FunnelSaid;
import gotera.said.RefillSaid;
import gotera.said.RefillSaid.AirFirst;
import gotera.said.RefillSaid.CoolantIn;
import gotera.said.RefillSaid.CoolantPoured;
import gotera.said.RefillSaid.MixWanted;
import gotera.said.RefillSaid.PurgeSign;
import gotera.said.RefillSaid.Purged;
import gotera.said.RefillSaid.SchoolChosen;
import gotera.said.RefillSaid.Source;
import gotera.said.RefillSaid.StepDone;
import gotera.web.bubble.FunnelService;
import gotera.web.circuit.CircuitService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.job.JobService;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What was decided and done at the refill of a job. */
@Service
public class RefillService {
  private static final String ASSEMBLY = "assembly";

  private final FindingService findings;
  private final CircuitService circuits;
  private final FunnelService funnels;
  private final RepairService repairs;
  private final DryHolds holds;
  private final JobService jobs;

  RefillService(
      FindingService findings,
      CircuitService circuits,
      FunnelService funnels,
      RepairService repairs,
      DryHolds holds,
      JobService jobs) {
    this.findings = findings;
    this.circuits = circuits;
    this.funnels = funnels;
    this.repairs = repairs;
    this.holds = holds;
    this.jobs = jobs;
  }

  private <S extends RefillSaid> Optional<S> newest(UUID jobId, Class<S> kind) {
    return findings.of(jobId, kind).stream().reduce((a, b) -> b).map(Finding::said);
  }

  /** What is in the system, as far as somebody said. */
  Optional<Chemistry> in(UUID jobId) {
    return newest(jobId, CoolantIn.class).map(CoolantIn::chemistry);
  }

  /** From where that is known. */
  Optional<Source> source(UUID jobId) {
    return newest(jobId, CoolantIn.class).flatMap(CoolantIn::source);
  }

  /** What goes in. */
  Optional<Chemistry> poured(UUID jobId) {
    return newest(jobId, CoolantPoured.class).map(CoolantPoured::chemistry);
  }

  /** Writes down what is in, from where that is known, and what goes in. */
  public void chemistry(UUID jobId, CoolantIn in, Chemistry poured, String by) {
    findings.write(jobId, in, by);
    findings.write(jobId, new CoolantPoured(poured), by);
  }

  /** The strength that is wanted (1). */
  OptionalDouble wanted(UUID jobId) {
    return newest(jobId, MixWanted.class).stream().mapToDouble(MixWanted::strength).findFirst();
  }

  /** The size of a jug (mL). */
  OptionalDouble jug(UUID jobId) {
    return newest(jobId, MixWanted.class).stream().mapToDouble(MixWanted::jug).findFirst();
  }

  /** Writes down the mix that is wanted. */
  public void mix(UUID jobId, MixWanted wanted, String by) {
    findings.write(jobId, wanted, by);
  }

  /** How it is filled. */
  School school(UUID jobId) {
    return newest(jobId, SchoolChosen.class).map(SchoolChosen::school).orElse(School.FUNNEL);
  }

  void school(UUID jobId, School school, String by) {
    findings.write(jobId, new SchoolChosen(school), by);
  }

  /** Whether dry air is held before it: as somebody said, else after an assembly. */
  boolean airFirst(UUID jobId) {
    return newest(jobId, AirFirst.class)
        .map(AirFirst::first)
        .orElseGet(() -> jobs.require(jobId).reason().equals(ASSEMBLY));
  }

  void airFirst(UUID jobId, boolean first, String by) {
    findings.write(jobId, new AirFirst(first), by);
  }

  /** Whether anything was said or done at it. */
  boolean begun(UUID jobId) {
    return !findings.of(jobId, RefillSaid.class).isEmpty();
  }

  /** The steps of this circuit. */
  public List<FillStep> steps(UUID jobId) {
    return FillSteps.of(circuits.circuit(jobId), new Way(school(jobId), airFirst(jobId)));
  }

  /** The finding that says that a step was done. */
  Optional<Finding<StepDone>> done(UUID jobId, FillStep step) {
    return findings.of(jobId, StepDone.class).stream()
        .filter(f -> f.said().does() == step.does() && f.said().at().equals(step.at()))
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
      findings.write(jobId, new StepDone(step.does(), step.at()), by);
    }
  }

  /** Whether something was said last, of it and its opposite. */
  boolean told(UUID jobId, PurgeSign sign) {
    return said(jobId).stream()
        .map(f -> f.said().sign())
        .filter(s -> s == sign || s == sign.opposite())
        .reduce((a, b) -> b)
        .filter(s -> s == sign)
        .isPresent();
  }

  /** Writes down something that was said while it was purged. */
  public void tell(UUID jobId, PurgeSign sign, String by) {
    findings.write(jobId, new Purged(sign), by);
  }

  /** What was said while it was purged. */
  List<Finding<Purged>> said(UUID jobId) {
    return findings.of(jobId, Purged.class);
  }

  /** How far the purge is, by the watch of the funnel since the last repair; none without one. */
  Optional<Purge> purge(UUID jobId) {
    Instant since =
        repairs.notes(jobId).stream().map(RepairNote::at).reduce((a, b) -> b).orElse(Instant.MIN);
    List<Finding<FunnelSaid>> run =
        funnels.now(jobId).stream().filter(f -> f.writtenAt().isAfter(since)).toList();
    List<FunnelStep> steps = FunnelService.steps(run);
    boolean heated = circuits.circuit(jobId).part("heater-core").isPresent();
    return funnels
        .neck(jobId, run)
        .map(
            neck ->
                Purge.of(
                    steps,
                    neck,
                    new Purge.Told(
                        heated,
                        told(jobId, PurgeSign.CABIN_HOT),
                        told(jobId, PurgeSign.NEEDLE_STEADY))));
  }
}
