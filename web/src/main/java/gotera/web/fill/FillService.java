package gotera.web.fill;

import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.pressure.compliance.Draw;
import gotera.range.Range;
import gotera.refill.FillAccount;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.Measures;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The fill account of a job. */
@Service
public class FillService implements StepReporter {
  private static final String CHECK = "fill";
  private static final String MEASURED = "strength";
  private static final String MIX = "mix";

  /** Checks whose steps book volumes: what is drawn down for a tester, what a funnel takes. */
  private static final List<String> GUIDED = List.of("gas-check", "funnel");

  private final FindingService findings;
  private final PressureService tests;
  private final JobService jobs;
  private final Words words;

  FillService(FindingService findings, PressureService tests, JobService jobs, Words words) {
    this.findings = findings;
    this.tests = tests;
    this.jobs = jobs;
    this.words = words;
  }

  void write(UUID jobId, FillEntryKind kind, double millilitres, double strength, String by) {
    findings.write(
        jobId, New.of(CHECK, "", kind.word(), Measures.mixture(millilitres, strength)), by);
  }

  /** What was caught clean and is not back yet (mL), 0 or above. */
  public double cleanLeft(UUID jobId) {
    double left = 0;
    for (Line line : lines(jobId)) {
      left +=
          switch (line.kind()) {
            case DRAINED_CLEAN -> line.millilitres();
            case PUT_BACK -> -Math.min(left, line.millilitres());
            default -> 0;
          };
    }
    return left;
  }

  /** Books what was poured in at the refill. */
  public void poured(UUID jobId, double millilitres, double strength, String by) {
    write(jobId, FillEntryKind.IN, millilitres, strength, by);
  }

  /**
   * Books what was drained at a place.
   *
   * @param at word of the joint that was opened
   * @param millilitres how much came (mL)
   * @param clean whether it was caught clean and goes back
   * @param goes where it went
   */
  public void drained(
      UUID jobId, String at, double millilitres, boolean clean, String goes, String by) {
    FillEntryKind kind = clean ? FillEntryKind.DRAINED_CLEAN : FillEntryKind.DRAINED;
    Measures measures = Measures.mixture(millilitres, 0);
    findings.write(
        jobId, new New(CHECK, at, kind.word(), measures, Set.of(), goes, Optional.empty()), by);
  }

  /** What was drained at places, in order of time. */
  public List<Drained> drained(UUID jobId) {
    return findings.of(jobId, CHECK).stream()
        .filter(f -> !f.subject().isEmpty())
        .map(
            f ->
                new Drained(
                    f.id(),
                    f.subject(),
                    f.measures().millilitres().orElse(0),
                    f.saw().equals(FillEntryKind.DRAINED_CLEAN.word()),
                    f.note()))
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

  void measured(UUID jobId, Glycol glycol, double celsius, double strength, String by) {
    findings.write(
        jobId,
        New.of(MEASURED, glycol.word(), "refractometer", Measures.freezing(celsius, strength)),
        by);
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
  record Line(
      Instant at,
      FillEntryKind kind,
      double millilitres,
      double strength,
      Optional<UUID> written) {}

  /** Everything that went in and out in order of time: what was written, and draws of tests. */
  List<Line> lines(UUID jobId) {
    List<Line> lines = new ArrayList<>();
    for (Finding f : findings.of(jobId, CHECK)) {
      FillEntryKind.of(f.saw())
          .ifPresent(
              k ->
                  lines.add(
                      new Line(
                          f.at(),
                          k,
                          f.measures().millilitres().orElse(0),
                          f.measures().strength().orElse(0),
                          Optional.of(f.id()))));
    }
    for (Finding f : findings.of(jobId, MEASURED)) {
      lines.add(
          new Line(
              f.at(),
              FillEntryKind.MEASURED,
              0,
              f.measures().strength().orElse(0),
              Optional.of(f.id())));
    }
    guided(jobId, lines);
    tests.all(jobId).forEach(test -> drawn(test, lines));
    lines.sort(Comparator.comparing(Line::at));
    return lines;
  }

  /** What guided checks took out or put in: taken back there. */
  private void guided(UUID jobId, List<Line> lines) {
    for (String check : GUIDED) {
      for (Finding f : findings.of(jobId, check)) {
        f.measures()
            .millilitres()
            .ifPresent(ml -> lines.add(new Line(f.at(), kind(f), ml, 0, Optional.empty())));
      }
    }
  }

  private static FillEntryKind kind(Finding f) {
    return switch (f.saw()) {
      case "water" -> FillEntryKind.WATER;
      case "coolant" -> FillEntryKind.COOLANT;
      default -> FillEntryKind.DRAWN_DOWN;
    };
  }

  /** Which glycol it is, as the scale that was read or the mix that was wanted says last. */
  public Glycol glycol(UUID jobId) {
    return Stream.of(MEASURED, MIX)
        .flatMap(c -> findings.of(jobId, c).stream())
        .filter(f -> Worded.of(Glycol.class, f.subject()).isPresent())
        .max(Comparator.comparing(Finding::at))
        .flatMap(f -> Worded.of(Glycol.class, f.subject()))
        .orElse(Glycol.ETHYLENE);
  }

  /** What is in the system now; as the job says while nobody knows how much it holds. */
  public CoolantMixture mixture(UUID jobId) {
    double said = jobs.require(jobId).strength().orElse(CoolantMixture.USUAL_STRENGTH);
    double now = account(jobId).map(a -> a.now().strength()).orElse(said);
    return new CoolantMixture(Math.max(0, Math.min(Range.STRENGTH.high(), now)));
  }

  /** What a test took out or pushed in. */
  private static void drawn(PressureTestView test, List<Line> lines) {
    Instant at = test.finishedAt().orElse(test.startedAt());
    List<Draw> draws = new ArrayList<>(test.hold().compliance().draws());
    test.hold().course().closingDraw().ifPresent(draws::add);
    for (Draw draw : draws) {
      boolean in = draw.millilitresOut() < 0;
      lines.add(
          new Line(
              at,
              in ? FillEntryKind.PUSHED_IN : FillEntryKind.DRAWN,
              Math.abs(draw.millilitresOut()),
              0,
              Optional.empty()));
    }
  }

  Optional<Finding> lastMeasured(UUID jobId) {
    return findings.of(jobId, MEASURED).stream().reduce((a, b) -> b);
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

  @Override
  public Step step() {
    return Step.FILL_UP;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<Line> lines = lines(jobId);
    if (lines.stream().noneMatch(l -> l.written().isPresent())) {
      return StepStatus.UNTOUCHED;
    }
    double put = lines.stream().filter(l -> l.kind().in()).mapToDouble(Line::millilitres).sum();
    double out = lines.stream().filter(l -> !l.kind().in()).mapToDouble(Line::millilitres).sum();
    return new StepStatus(
        State.DONE,
        put > 0 || out <= 0
            ? words.say("fill.rail", Figures.USUAL.volume(put))
            : words.say("fill.rail-out", Figures.USUAL.volume(out)));
  }
}
