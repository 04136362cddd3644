package gotera.web.report;

import gotera.balance.Complaint;
import gotera.drawing.VerdictShape;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.LeakRate;
import gotera.refill.FillAccount;
import gotera.web.circuit.CircuitWords;
import gotera.web.decide.DecisionWord;
import gotera.web.decide.Money;
import gotera.web.decide.OpenPointsService;
import gotera.web.decide.QuoteService;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.frame.PrintStyle;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import gotera.web.report.ReportPage.Section;
import gotera.web.report.ReportPage.Signed;
import gotera.web.retest.ProofPage;
import gotera.web.retest.ProofPages;
import gotera.web.retest.RetestService;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Says on one page, in plain words, what a job was, whatever its ending. */
@Component
class ReportPages {
  /** Verdicts that say something of the vehicle. */
  private static final Set<VerdictKind> COUNTED =
      EnumSet.of(VerdictKind.TIGHT, VerdictKind.LEAK, VerdictKind.GROSS, VerdictKind.STOPPED);

  /** What a job comes to. */
  private enum Outcome implements Worded {
    PROVEN,
    NOT_PROVEN_YET,
    STILL_LEAKS,
    TIGHT,
    LEAKS,
    UNKNOWN
  }

  private final JobService jobs;
  private final PressureService tests;
  private final VerdictWords verdicts;
  private final FoundLines found;
  private final CircuitWords names;
  private final RepairService repairs;
  private final FillService fills;
  private final ProofPages proofs;
  private final QuoteService quotes;
  private final OpenPointsService openPoints;
  private final WaitService waits;
  private final RetestService retests;
  private final PrintStyle style;
  private final PaperService paper;
  private final Money money;
  private final Words words;

  ReportPages(
      JobService jobs,
      PressureService tests,
      VerdictWords verdicts,
      FoundLines found,
      CircuitWords names,
      RepairService repairs,
      FillService fills,
      ProofPages proofs,
      QuoteService quotes,
      OpenPointsService openPoints,
      WaitService waits,
      RetestService retests,
      PrintStyle style,
      PaperService paper,
      Money money,
      Words words) {
    this.jobs = jobs;
    this.tests = tests;
    this.verdicts = verdicts;
    this.found = found;
    this.names = names;
    this.repairs = repairs;
    this.fills = fills;
    this.proofs = proofs;
    this.quotes = quotes;
    this.openPoints = openPoints;
    this.waits = waits;
    this.retests = retests;
    this.style = style;
    this.paper = paper;
    this.money = money;
    this.words = words;
  }

  /** The page. */
  ReportPage page(UUID jobId, Figures figures) {
    JobView job = jobs.require(jobId);
    ProofPage proof = proofs.page(jobId, figures);
    List<PressureTestView> done =
        tests.all(jobId).stream().filter(t -> t.finishedAt().isPresent()).toList();
    Optional<PressureTestView> last =
        done.stream().filter(t -> COUNTED.contains(t.result().verdict())).reduce((a, b) -> b);
    Outcome outcome = outcome(!repairs.notes(jobId).isEmpty(), proof, last);
    VerdictKind shape = shape(outcome);
    String detail = detail(outcome, proof, last);
    List<Section> sections = new ArrayList<>();
    add(sections, "told", told(job));
    add(sections, "measured", done.stream().map(t -> measured(t, figures)).toList());
    add(sections, "found", found.of(jobId));
    add(sections, "done", done(jobId, figures));
    add(sections, "proof", proof(proof, detail));
    add(sections, "watch", watch(jobId, outcome, proof));
    add(sections, "decided", decided(jobId));
    add(sections, "open", openPoints.of(jobId));
    return new ReportPage(
        paper.head(),
        job.vehicle().orElse(words.say("job.unnamed"))
            + (job.description().isEmpty() ? "" : ", " + job.description()),
        facts(job),
        result(outcome),
        detail,
        shape.word(),
        style.within(VerdictShape.of(shape, missing(outcome, proof), result(outcome))),
        sections,
        retests.drawn(jobId, figures).map(style::within).orElse(""),
        paper.signatures(jobId).stream()
            .map(
                s ->
                    new Signed(
                        words.say("report.signed", s.name, Figures.moment(s.writtenAt)), s.drawing))
            .toList(),
        List.of(
            words.say("report.foot-bound"),
            words.say("report.foot-safety"),
            words.say("report.foot-zone", Figures.zone())));
  }

  private void add(List<Section> sections, String title, List<String> lines) {
    if (!lines.isEmpty()) {
      sections.add(new Section(words.say("report.section." + title), lines));
    }
  }

  private List<String> facts(JobView job) {
    List<String> facts = new ArrayList<>();
    facts.add(words.say("report.reason", words.say("reason." + job.reason())));
    facts.add(words.say("report.begun", Figures.moment(job.startedAt())));
    facts.add(
        job.closedAt()
            .map(at -> words.say("report.closed", Figures.moment(at), ending(job)))
            .orElseGet(() -> words.say("report.not-closed")));
    return facts;
  }

  /** Share of the circumstances in which it showed that was not repeated yet. */
  private static double missing(Outcome outcome, ProofPage proof) {
    long open = proof.lines().stream().filter(l -> l.by().isEmpty()).count();
    return outcome == Outcome.NOT_PROVEN_YET
        ? (double) open / proof.lines().size()
        : VerdictShape.MOST_MISSING;
  }

  private static VerdictKind shape(Outcome outcome) {
    return switch (outcome) {
      case PROVEN, TIGHT -> VerdictKind.TIGHT;
      case NOT_PROVEN_YET, UNKNOWN -> VerdictKind.NOT_PROVEN;
      case STILL_LEAKS, LEAKS -> VerdictKind.LEAK;
    };
  }

  private String ending(JobView job) {
    return words.say("ending." + job.ending());
  }

  /** What it comes to: the proof where there was a repair, else the last test, else the ending. */
  private String result(Outcome outcome) {
    return words.say("report.result." + outcome.word());
  }

  private static Outcome outcome(
      boolean repaired, ProofPage proof, Optional<PressureTestView> last) {
    if (proof.failed()) {
      return Outcome.STILL_LEAKS;
    }
    if (repaired && !proof.lines().isEmpty()) {
      return proof.proven() ? Outcome.PROVEN : Outcome.NOT_PROVEN_YET;
    }
    return last.map(
            t ->
                switch (t.result().verdict()) {
                  case TIGHT -> Outcome.TIGHT;
                  case LEAK, GROSS, STOPPED -> Outcome.LEAKS;
                  case NOT_PROVEN, NOT_COUNTED -> Outcome.UNKNOWN;
                })
        .orElse(Outcome.UNKNOWN);
  }

  /** The last test's figure in words that need no physics. */
  private String detail(Outcome outcome, ProofPage proof, Optional<PressureTestView> last) {
    if (outcome == Outcome.NOT_PROVEN_YET || outcome == Outcome.STILL_LEAKS) {
      return proof.statement();
    }
    return last.map(t -> means(t)).orElse("");
  }

  private static List<String> told(JobView job) {
    return Stream.of(job.complaint(), job.otherComplaints()).filter(s -> !s.isEmpty()).toList();
  }

  /** A test with its verdict. */
  private String measured(PressureTestView test, Figures figures) {
    return words.say(
        "report.measured",
        Figures.moment(test.startedAt()),
        words.say("pressure." + test.phase().word() + ".run"),
        verdicts.said(test, figures).headline(),
        figures.pressure(test.conditions().rated().kilopascals()));
  }

  /** What a rate, or its bound, is in drops and in ten hours of driving. */
  private String means(PressureTestView test) {
    if (test.result().verdict() == VerdictKind.GROSS) {
      return words.say("report.gross-means");
    }
    return test.result()
        .rate()
        .map(
            r -> {
              boolean tight = test.result().verdict() == VerdictKind.TIGHT;
              double rate = tight ? r.upper() : Math.max(0, r.rate());
              return words.say(
                  tight ? "report.zero-means" : "report.leak-means",
                  tight ? Figures.bound(rate) : Figures.twoDigits(rate),
                  Figures.twoDigits(new LeakRate(rate).dropsPerMinute()),
                  Figures.USUAL.volume(told(rate)));
            })
        .orElse("");
  }

  private static double told(double rate) {
    return Figures.rounded(Complaint.inABusyWeek(Math.max(0, rate)));
  }

  private List<String> done(UUID jobId, Figures figures) {
    List<String> done = new ArrayList<>();
    for (RepairNote n : repairs.notes(jobId)) {
      done.add(
          n.joint().isEmpty()
              ? n.note()
              : words.say(
                  n.renewed() ? "report.renewed" : "report.repaired",
                  names.joint(jobId, n.joint()),
                  n.note()));
    }
    fills
        .account(jobId)
        .filter(ReportPages::wasFilled)
        .map(FillAccount::now)
        .ifPresent(
            now ->
                done.add(
                    words.say(
                        "report.filled",
                        figures.volume(now.volume()),
                        Figures.fixed(100 * now.strength(), 0))));
    return done;
  }

  /** Only what went in was filled. */
  private static boolean wasFilled(FillAccount account) {
    List<FillAccount.Moment> moments = account.moments();
    return IntStream.range(1, moments.size())
        .anyMatch(i -> moments.get(i).volume() > moments.get(i - 1).volume());
  }

  private List<String> proof(ProofPage proof, String said) {
    List<String> lines = new ArrayList<>();
    if (!proof.lines().isEmpty()) {
      if (!proof.statement().equals(said)) {
        lines.add(proof.statement());
      }
      proof.lines().stream()
          .filter(l -> !l.by().isEmpty())
          .forEach(l -> lines.add(words.say("report.covered", l.when(), l.by())));
    }
    return lines;
  }

  /** What is to be repeated is the customer's to know where something was repaired. */
  private List<String> watch(UUID jobId, Outcome outcome, ProofPage proof) {
    List<String> watch = new ArrayList<>();
    boolean repaired = outcome == Outcome.NOT_PROVEN_YET || outcome == Outcome.STILL_LEAKS;
    proof.lines().stream()
        .filter(l -> repaired && !l.todo().isEmpty())
        .forEach(l -> watch.add(words.say("report.to-repeat", l.when(), l.todo())));
    waits.open(jobId).forEach(w -> watch.add(words.say("report.waits", w.what(), w.at())));
    watch.add(words.say("report.watch-level"));
    return watch;
  }

  private List<String> decided(UUID jobId) {
    return quotes.lines(jobId).stream()
        .map(
            l ->
                words.say(
                    l.decided().what() == DecisionWord.PUT_OFF
                        ? "report.decided-until"
                        : "report.decided",
                    l.what(),
                    money.say(l.price()),
                    words.say("decided." + l.decided().what().word()),
                    l.decided().until().map(Object::toString).orElse("")))
        .toList();
  }
}
