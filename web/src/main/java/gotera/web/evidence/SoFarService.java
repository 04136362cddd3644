package gotera.web.evidence;

import gotera.balance.LeakBalance;
import gotera.balance.SiteFlow;
import gotera.drawing.BalanceBar;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.LeakSite;
import gotera.web.circuit.Suspicion;
import gotera.web.evidence.SoFar.Site;
import gotera.web.job.JobHeadline;
import gotera.web.job.JobPageContributor;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.job.Step;
import gotera.web.pressure.Caught;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressurePages;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import gotera.web.shell.Figures;
import gotera.web.shell.RequestMemo;
import gotera.web.shell.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Balances the newest test against the sites found. */
@Service
class SoFarService implements JobPageContributor, JobHeadline, Suspicion {
  /** Twice within this time is soon (d) (our judgement, untested). */
  private static final double SOON = 365;

  private static final double WEEK = 7;

  private final JobService jobs;
  private final PressureService tests;
  private final PressurePages pages;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final RepairService repairs;
  private final SuspectsService suspects;
  private final RequestMemo memo;
  private final Words words;

  SoFarService(
      JobService jobs,
      PressureService tests,
      PressurePages pages,
      CircuitService circuits,
      CircuitWords names,
      RepairService repairs,
      SuspectsService suspects,
      RequestMemo memo,
      Words words) {
    this.jobs = jobs;
    this.tests = tests;
    this.pages = pages;
    this.circuits = circuits;
    this.names = names;
    this.repairs = repairs;
    this.suspects = suspects;
    this.memo = memo;
    this.words = words;
  }

  @Override
  public void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model) {
    model.put("soFar", soFar(jobId, figures));
  }

  @Override
  public Optional<Headline> of(UUID jobId) {
    Figures figures = Figures.USUAL;
    return newest(jobId)
        .map(t -> pages.said(t, figures))
        .map(s -> new Headline(s.shape(), s.headline(), s.kind().equals("tight")));
  }

  private SoFar soFar(UUID jobId, Figures figures) {
    Optional<PressureTestView> newest = newest(jobId);
    Looks looks = looks(jobId, newest);
    List<LeakSite> wet = looks.wet();
    if (newest.isEmpty()) {
      SuspectsService.Ranked ranked = suspects.of(jobId, looks, Optional.empty(), Optional.empty());
      return new SoFar(
          words.say("so-far.nothing"),
          "none",
          "",
          "",
          "",
          Optional.empty(),
          sites(jobId, wet, List.of()),
          ranked.suspects(),
          flag(jobId),
          ranked.next());
    }
    PressureTestView test = newest.get();
    VerdictWords.Said said = pages.said(test, figures);
    String at =
        test.result().rate().isPresent()
            ? words.say("so-far.at", figures.pressure(test.conditions().rated().kilopascals()))
            : words.say(test.result().lowerBound().isPresent() ? "so-far.kept" : "so-far.no-rate");
    List<Caught> caught = caught(test);
    Optional<LeakBalance> balance = balance(test, wet, caught);
    boolean proven = test.phase() == Phase.RE_TEST && test.result().verdict() == VerdictKind.TIGHT;
    SuspectsService.Ranked ranked =
        proven
            ? new SuspectsService.Ranked(List.of(), Optional.empty())
            : suspects.of(jobId, looks, newest, balance);
    return new SoFar(
        said.headline(),
        said.kind(),
        said.shape(),
        at,
        balance
            .map(b -> BalanceBar.of(b, words.say("so-far.bar"), words.say("so-far.not-found")))
            .orElse(""),
        balance.map(b -> sentence(b, wet, caught)),
        found(
            sites(jobId, wet, balance.map(LeakBalance::explained).orElse(List.of())), caught, test),
        ranked.suspects(),
        flag(jobId),
        balance.filter(b -> explained(b, wet)).isPresent()
            ? Optional.of(repair(jobId))
            : ranked.next());
  }

  /** Whether the places found explain the rate: then another look tells nothing more. */
  private static boolean explained(LeakBalance balance, List<LeakSite> wet) {
    return !balance.anotherLeak() && wet.stream().anyMatch(s -> s.flow().isPresent());
  }

  private SoFar.NextCheck repair(UUID jobId) {
    return new SoFar.NextCheck(
        words.say("evidence.next.repair"),
        words.say("evidence.next.repair-tells"),
        "/jobs/" + jobId + "/repair");
  }

  /** The same part failing twice soon asks for a gas check first (common practice, no source). */
  private Optional<String> flag(UUID jobId) {
    JobView job = jobs.require(jobId);
    boolean soon = job.replacedDays().isPresent() && job.replacedDays().getAsDouble() <= SOON;
    return soon && !job.replacedPart().isEmpty()
        ? Optional.of(
            words.say(
                "so-far.same-part",
                job.replacedPart(),
                Figures.plain(Math.rint(job.replacedDays().getAsDouble() / WEEK))))
        : Optional.empty();
  }

  /** The newest test that has something to say. */
  private Optional<PressureTestView> newest(UUID jobId) {
    return tests.all(jobId).stream()
        .filter(t -> t.trace().size() >= 2 || t.result().verdict() == VerdictKind.STOPPED)
        .reduce((a, b) -> b);
  }

  /** Looks that count beside the newest test: after a repair, only those made since. */
  private Looks looks(UUID jobId, Optional<PressureTestView> newest) {
    Instant since =
        newest.filter(t -> t.phase() == Phase.RE_TEST).isPresent()
            ? repairs.notes(jobId).stream()
                .map(RepairNote::writtenAt)
                .max(Instant::compareTo)
                .orElse(Instant.MIN)
            : Instant.MIN;
    return Looks.after(since, circuits.looks(jobId));
  }

  @Override
  public Map<String, Double> suspected(UUID jobId) {
    return memo.of(List.of("suspected", jobId), () -> suspectedNow(jobId));
  }

  private Map<String, Double> suspectedNow(UUID jobId) {
    Optional<PressureTestView> newest = newest(jobId);
    Looks looks = looks(jobId, newest);
    Optional<LeakBalance> balance = newest.flatMap(t -> balance(t, looks.wet(), caught(t)));
    Map<String, Double> suspected = new HashMap<>();
    suspects
        .diagnosis(jobId, looks, newest, balance)
        .posterior()
        .suspects()
        .forEach(s -> suspected.put(s.place(), s.probability()));
    return suspected;
  }

  private List<Caught> caught(PressureTestView test) {
    return tests.caught(test.id()).stream().filter(c -> c.flow().isPresent()).toList();
  }

  private static Optional<LeakBalance> balance(
      PressureTestView test, List<LeakSite> wet, List<Caught> caught) {
    return test.result()
        .rate()
        .filter(r -> test.result().verdict() == VerdictKind.LEAK)
        .map(r -> balance(r, wet, caught, test));
  }

  private static LeakBalance balance(
      Rate rate, List<LeakSite> wet, List<Caught> caught, PressureTestView test) {
    List<SiteFlow> flows = new ArrayList<>();
    wet.forEach(s -> s.flow().ifPresent(flows::add));
    caught.forEach(c -> c.flow().ifPresent(flows::add));
    return LeakBalance.of(rate.rate(), rate.u(), flows, rate.law(), test.conditions().rated());
  }

  /** The sites, and behind them what was caught inside. */
  private static List<Site> found(List<Site> sites, List<Caught> caught, PressureTestView test) {
    List<Site> all = new ArrayList<>(sites);
    String address = "/jobs/" + test.jobId() + "/" + test.phase().step().word() + "#caught";
    for (Caught c : caught) {
      SiteFlow.Caught flow = (SiteFlow.Caught) c.flow().orElseThrow();
      double rate = flow.rate().millilitresPerMinute();
      String said =
          Figures.rate(rate, flow.u()) + " \u00b1 " + Figures.halfWidth(flow.u()) + " mL/min";
      all.add(new Site(c.place(), said, address));
    }
    return all;
  }

  private String sentence(LeakBalance balance, List<LeakSite> wet, List<Caught> caught) {
    if (wet.isEmpty() && caught.isEmpty()) {
      return words.say("so-far.nothing-found");
    }
    long uncounted = wet.stream().filter(s -> s.flow().isEmpty()).count();
    String rest =
        words.say(
            balance.anotherLeak() ? "so-far.another" : "so-far.explained",
            Figures.rate(balance.unexplained(), balance.unexplainedU()),
            Figures.halfWidth(balance.unexplainedU()));
    return uncounted == 0 ? rest : rest + " " + words.say("so-far.uncounted", uncounted);
  }

  private List<Site> sites(UUID jobId, List<LeakSite> wet, List<Double> explained) {
    List<Site> sites = new ArrayList<>();
    int counted = 0;
    for (LeakSite site : wet) {
      String flow = words.say("so-far.not-counted");
      if (site.flow().isPresent()) {
        double rate =
            counted < explained.size()
                ? explained.get(counted)
                : site.flow().get().rate().millilitresPerMinute();
        counted++;
        // the drop size is uncertain by 25 % (standard), so ± is about half of it at 95 %
        flow =
            Figures.rate(rate, 0.25 * rate)
                + " \u00b1 "
                + Figures.halfWidth(0.25 * rate)
                + " mL/min";
      }
      sites.add(
          new Site(
              names.joint(jobId, site.joint()),
              flow,
              "/jobs/" + jobId + "/find?joint=" + site.joint()));
    }
    return sites;
  }
}
