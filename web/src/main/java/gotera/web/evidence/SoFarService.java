package gotera.web.evidence;

import gotera.balance.LeakBalance;
import gotera.balance.SiteFlow;
import gotera.drawing.BalanceBar;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.LeakSite;
import gotera.web.evidence.SoFar.Site;
import gotera.web.job.JobHeadline;
import gotera.web.job.JobPageContributor;
import gotera.web.job.Step;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressurePages;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import gotera.web.shell.Figures;
import gotera.web.shell.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Balances the newest test against the sites found. */
@Service
class SoFarService implements JobPageContributor, JobHeadline {
  private final PressureService tests;
  private final PressurePages pages;
  private final CircuitService circuits;
  private final RepairService repairs;
  private final Words words;

  SoFarService(
      PressureService tests,
      PressurePages pages,
      CircuitService circuits,
      RepairService repairs,
      Words words) {
    this.tests = tests;
    this.pages = pages;
    this.circuits = circuits;
    this.repairs = repairs;
    this.words = words;
  }

  @Override
  public void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model) {
    model.put("soFar", soFar(jobId, figures));
  }

  @Override
  public Optional<Headline> of(UUID jobId) {
    Figures figures = new Figures(gotera.quantity.PressureUnit.KPA);
    return newest(jobId)
        .map(t -> pages.said(t, figures))
        .map(s -> new Headline(s.shape(), s.headline(), s.kind().equals("tight")));
  }

  private SoFar soFar(UUID jobId, Figures figures) {
    Optional<PressureTestView> newest = newest(jobId);
    List<LeakSite> wet = wet(jobId, newest);
    if (newest.isEmpty()) {
      return new SoFar(
          words.say("so-far.nothing"),
          "none",
          "",
          "",
          "",
          Optional.empty(),
          sites(jobId, wet, List.of()));
    }
    PressureTestView test = newest.get();
    VerdictWords.Said said = pages.said(test, figures);
    String at =
        test.result().rate().isPresent()
            ? words.say("so-far.at", figures.pressure(test.conditions().rated().kilopascals()))
            : words.say(test.result().lowerBound().isPresent() ? "so-far.kept" : "so-far.no-rate");
    Optional<LeakBalance> balance =
        test.result()
            .rate()
            .filter(r -> test.result().verdict() == VerdictKind.LEAK)
            .map(r -> balance(r, wet, test));
    return new SoFar(
        said.headline(),
        said.kind(),
        said.shape(),
        at,
        balance
            .map(b -> BalanceBar.of(b, words.say("so-far.bar"), words.say("so-far.not-found")))
            .orElse(""),
        balance.map(b -> sentence(b, wet)),
        sites(jobId, wet, balance.map(LeakBalance::explained).orElse(List.of())));
  }

  /** The newest test that has something to say. */
  private Optional<PressureTestView> newest(UUID jobId) {
    return tests.all(jobId).stream()
        .filter(t -> t.trace().size() >= 2 || t.result().verdict() == VerdictKind.STOPPED)
        .reduce((a, b) -> b);
  }

  /** Wet sites that the newest test can be balanced with: after a repair, only those seen since. */
  private List<LeakSite> wet(UUID jobId, Optional<PressureTestView> newest) {
    Instant since =
        newest.filter(t -> t.phase() == Phase.RE_TEST).isPresent()
            ? repairs.notes(jobId).stream()
                .map(RepairNote::writtenAt)
                .max(Instant::compareTo)
                .orElse(Instant.MIN)
            : Instant.MIN;
    return circuits.sites(jobId).stream()
        .filter(LeakSite::wet)
        .filter(s -> s.writtenAt().isAfter(since))
        .toList();
  }

  private static LeakBalance balance(Rate rate, List<LeakSite> wet, PressureTestView test) {
    List<SiteFlow> flows = new ArrayList<>();
    wet.forEach(s -> s.flow().ifPresent(flows::add));
    return LeakBalance.of(rate.rate(), rate.u(), flows, rate.law(), test.conditions().rated());
  }

  private String sentence(LeakBalance balance, List<LeakSite> wet) {
    if (wet.isEmpty()) {
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
              words.say("joint." + site.joint()),
              flow,
              "/jobs/" + jobId + "/find?joint=" + site.joint()));
    }
    return sites;
  }
}
