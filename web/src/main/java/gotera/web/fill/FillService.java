package gotera.web.fill;

import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.pressure.compliance.Draw;
import gotera.range.Range;
import gotera.refill.FillAccount;
import gotera.refill.FillEntryKind;
import gotera.said.FillSaid;
import gotera.said.FillSaid.Booked;
import gotera.said.FillSaid.StrengthRead;
import gotera.said.FunnelSaid;
import gotera.said.GasCheckSaid;
import gotera.said.RefillSaid.MixWanted;
import gotera.said.Said;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.job.JobChanges;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.job.StepReporter;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.storage.Write;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The fill account of a job. */
@Service
public class FillService implements StepReporter {
  private final FindingService findings;
  private final PressureService tests;
  private final JobService jobs;
  private final JobChanges changes;
  private final Words words;

  FillService(
      FindingService findings,
      PressureService tests,
      JobService jobs,
      JobChanges changes,
      Words words) {
    this.findings = findings;
    this.tests = tests;
    this.jobs = jobs;
    this.changes = changes;
    this.words = words;
  }

  void write(UUID jobId, FillEntryKind kind, double millilitres, double strength, String by) {
    findings.write(jobId, new Booked(kind, millilitres, strength), by);
  }

  /** What was caught clean and is not back yet (mL), 0 or above. */
  public double cleanLeft(UUID jobId) {
    double left = 0;
    for (FillLine line : lines(jobId)) {
      left +=
          switch (line.kind()) {
            case DRAINED_CLEAN -> line.millilitres();
            case PUT_BACK -> -Math.min(left, line.millilitres());
            default -> 0;
          };
    }
    return left;
  }

  /**
   * Books a jug that was poured in at the refill, once, also where two people say so at once.
   *
   * @param seen how many entries the account had for whoever says it; negative where nobody counted
   * @return whether it was booked: not where another entry came first
   */
  @Write
  public boolean poured(UUID jobId, int seen, double millilitres, double strength, String by) {
    changes.hold(jobId);
    boolean first = seen < 0 || seen == entries(jobId);
    if (first) {
      findings.write(jobId, new Booked(FillEntryKind.IN, millilitres, strength), by);
    }
    return first;
  }

  /**
   * Books what was drained at a place.
   *
   * @param goes where it went
   */
  public void drained(UUID jobId, FillSaid.Drained drained, String goes, String by) {
    findings.write(jobId, new New(drained, goes), by);
  }

  /** What was drained at places, in order of time. */
  public List<Drained> drained(UUID jobId) {
    return findings.of(jobId, FillSaid.Drained.class).stream()
        .map(
            f ->
                new Drained(
                    f.id(), f.said().at(), f.said().millilitres(), f.said().clean(), f.note()))
        .toList();
  }

  /**
   * What was drained at a place.
   *
   * @param id the finding that says so
   * @param at word of the joint
   * @param millilitres how much (mL)
   * @param clean whether it goes back
   * @param goes where it went
   */
  public record Drained(UUID id, String at, double millilitres, boolean clean, String goes) {}

  void measured(UUID jobId, StrengthRead read, String by) {
    findings.write(jobId, read, by);
  }

  void withdraw(UUID jobId, UUID entry, String by) {
    findings.withdraw(jobId, entry, by);
  }

  /**
   * A line of the account.
   *
   * @param at when
   * @param kind what happened
   * @param millilitres how much (mL)
   * @param strength strength of what went in
   * @param written the finding, where somebody wrote it; draws of a test are taken back there
   */
  record FillLine(
      Instant at,
      FillEntryKind kind,
      double millilitres,
      double strength,
      Optional<UUID> written) {}

  /** Everything that went in and out in order of time: what was written, and draws of tests. */
  List<FillLine> lines(UUID jobId) {
    List<FillLine> lines = new ArrayList<>();
    for (Finding<Said> f : findings.of(jobId, BOOKED)) {
      line(f).ifPresent(lines::add);
    }
    atIntake(jobs.require(jobId), lines).ifPresent(lines::add);
    tests.all(jobId).forEach(test -> drawn(test, lines));
    lines.sort(Comparator.comparing(FillLine::at));
    return lines;
  }

  /** Water to the brim as it was told at intake, unless the same was written down here too. */
  private static Optional<FillLine> atIntake(JobView job, List<FillLine> written) {
    double water = job.topUpMl().orElse(0);
    boolean here =
        written.stream()
            .anyMatch(l -> l.kind() == FillEntryKind.BRIM && Math.abs(l.millilitres() - water) < 1);
    return water > 0 && !here
        ? Optional.of(new FillLine(job.startedAt(), FillEntryKind.BRIM, water, 0, Optional.empty()))
        : Optional.empty();
  }

  /** What books a volume: what was written here, and what guided checks took out or put in. */
  private static final List<Class<? extends Said>> BOOKED =
      List.of(FillSaid.class, GasCheckSaid.Level.class, FunnelSaid.ToppedUp.class);

  private static Optional<FillLine> line(Finding<Said> f) {
    Said said = f.said();
    Optional<UUID> here = Optional.of(f.id());
    if (said instanceof Booked b) {
      return Optional.of(new FillLine(f.at(), b.kind(), b.millilitres(), b.strength(), here));
    }
    if (said instanceof FillSaid.Drained d) {
      return Optional.of(new FillLine(f.at(), d.kind(), d.millilitres(), 0, here));
    }
    if (said instanceof StrengthRead read) {
      return Optional.of(new FillLine(f.at(), FillEntryKind.MEASURED, 0, read.strength(), here));
    }
    if (said instanceof FunnelSaid.ToppedUp put) {
      FillEntryKind kind =
          put.liquid() == FunnelSaid.Liquid.WATER ? FillEntryKind.WATER : FillEntryKind.COOLANT;
      return Optional.of(new FillLine(f.at(), kind, put.millilitres(), 0, Optional.empty()));
    }
    return said instanceof GasCheckSaid.Level level && level.out().isPresent()
        ? Optional.of(
            new FillLine(
                f.at(), FillEntryKind.DRAWN_DOWN, level.out().getAsDouble(), 0, Optional.empty()))
        : Optional.empty();
  }

  /** Which glycol it is, as the scale that was read or the mix that was wanted says last. */
  public Glycol glycol(UUID jobId) {
    return findings.of(jobId, List.of(StrengthRead.class, MixWanted.class)).stream()
        .max(Comparator.comparing(Finding::at))
        .map(
            f ->
                f.said() instanceof MixWanted mix
                    ? mix.glycol()
                    : ((StrengthRead) f.said()).glycol())
        .orElse(Glycol.ETHYLENE);
  }

  /** What is in the system now; as the job says while nobody knows how much it holds. */
  public CoolantMixture mixture(UUID jobId) {
    double said = jobs.require(jobId).strength().orElse(CoolantMixture.USUAL_STRENGTH);
    double now = account(jobId).map(a -> a.now().strength()).orElse(said);
    return new CoolantMixture(Math.max(0, Math.min(Range.STRENGTH.high(), now)));
  }

  /** What a test took out or pushed in. */
  private static void drawn(PressureTestView test, List<FillLine> lines) {
    Instant at = test.finishedAt().orElse(test.startedAt());
    List<Draw> draws = new ArrayList<>(test.hold().compliance().draws());
    test.hold().course().closingDraw().ifPresent(draws::add);
    for (Draw draw : draws) {
      boolean in = draw.millilitresOut() < 0;
      lines.add(
          new FillLine(
              at,
              in ? FillEntryKind.PUSHED_IN : FillEntryKind.DRAWN,
              Math.abs(draw.millilitresOut()),
              0,
              Optional.empty()));
    }
  }

  Optional<Finding<StrengthRead>> lastMeasured(UUID jobId) {
    return findings.of(jobId, StrengthRead.class).stream().reduce((a, b) -> b);
  }

  /** The account; empty while nobody knows how much the system holds. */
  public Optional<FillAccount> account(UUID jobId) {
    JobView job = jobs.require(jobId);
    if (job.liquidMl().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        FillAccount.of(
            job.liquidMl().getAsDouble(),
            job.strength().orElse(CoolantMixture.USUAL_STRENGTH),
            lines(jobId).stream()
                .map(l -> l.kind().entry(l.millilitres(), l.strength()))
                .toList()));
  }

  /** That the coolant is weaker than it came, in words; empty where it is not. */
  public Optional<String> weakened(UUID jobId) {
    Optional<FillAccount> account = account(jobId).filter(FillAccount::isWeakened);
    return account.map(
        a ->
            words.say(
                "open.weak-mix",
                Figures.fixed(100 * a.now().strength(), 0),
                Figures.fixed(100 * a.moments().get(0).strength(), 0)));
  }

  /** How many entries the account has. */
  public int entries(UUID jobId) {
    return lines(jobId).size();
  }

  /** Whether it was drained as far as it goes: what is in now was poured in. */
  public boolean isRenewed(UUID jobId) {
    return account(jobId).filter(FillAccount::isRenewed).isPresent();
  }

  @Override
  public Step step() {
    return Step.FILL_UP;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<FillLine> lines = lines(jobId);
    if (lines.stream().noneMatch(l -> l.written().isPresent())) {
      return StepStatus.UNTOUCHED;
    }
    double put = lines.stream().filter(l -> l.kind().in()).mapToDouble(FillLine::millilitres).sum();
    double out =
        lines.stream().filter(l -> !l.kind().in()).mapToDouble(FillLine::millilitres).sum();
    return new StepStatus(
        StepState.DONE,
        put > 0 || out <= 0
            ? words.say("fill.rail", Figures.USUAL.volume(put))
            : words.say("fill.rail-out", Figures.USUAL.volume(out)));
  }
}
