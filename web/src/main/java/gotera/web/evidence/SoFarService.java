package gotera.web.evidence;

import gotera.balance.LeakBalance;
import gotera.balance.SiteFlow;
import gotera.drawing.BalanceBar;
import gotera.drawing.VerdictShape;
import gotera.pressure.verdict.VerdictKind;
import gotera.said.CaughtFrom;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.Suspicion;
import gotera.web.evidence.SoFar.Site;
import gotera.web.figures.Figures;
import gotera.web.job.JobHeadline;
import gotera.web.job.JobPageContributor;
import gotera.web.job.LooksOn;
import gotera.web.job.TakenBack;
import gotera.web.pressure.Caught;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.words.Words;
import gotera.work.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Balances the newest test against the sites found. */
@Service
class SoFarService implements JobPageContributor, JobHeadline, Suspicion, LooksOn {
  private final Cases cases;
  private final VerdictWords verdicts;
  private final CircuitWords names;
  private final SuspectsService suspects;
  private final List<TakenBack> takenBack;
  private final Words words;

  SoFarService(
      Cases cases,
      VerdictWords verdicts,
      CircuitWords names,
      SuspectsService suspects,
      List<TakenBack> takenBack,
      Words words) {
    this.cases = cases;
    this.verdicts = verdicts;
    this.names = names;
    this.suspects = suspects;
    this.takenBack = takenBack;
    this.words = words;
  }

  @Override
  public void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model) {
    model.put("soFar", soFar(jobId, figures));
  }

  @Override
  public Optional<Headline> of(UUID jobId) {
    Figures figures = Figures.USUAL;
    Optional<String> again = again(jobId);
    if (again.isPresent()) {
      return again.map(
          a ->
              new Headline(
                  VerdictShape.of(VerdictKind.LEAK, 0), words.say("so-far.again", a), false));
    }
    return cases
        .newest(jobId)
        .map(t -> verdicts.said(t, figures))
        .map(s -> new Headline(s.shape(), s.headline(), s.kind().equals("tight")));
  }

  /** What takes back whatever a test of the repair said. */
  private Optional<String> again(UUID jobId) {
    return takenBack.stream().flatMap(t -> t.by(jobId).stream()).findFirst();
  }

  /** A place that leaks a second time comes before the rules that hold for all. */
  private List<String> flags(UUID jobId) {
    List<String> flags = new ArrayList<>();
    cases
        .gone(jobId)
        .forEach(place -> flags.add(words.say("so-far.gone", names.joint(jobId, place))));
    takenBack.forEach(t -> flags.addAll(t.twice(jobId)));
    flags.addAll(suspects.flags(jobId));
    return flags;
  }

  private SoFar soFar(UUID jobId, Figures figures) {
    Case known = cases.of(jobId);
    Optional<PressureTestView> newest = cases.newest(jobId);
    List<Looked> wet = known.wet();
    if (newest.isEmpty()) {
      Optional<String> leaks = again(jobId);
      return new SoFar(
          leaks.map(a -> words.say("so-far.again", a)).orElseGet(() -> words.say("so-far.nothing")),
          leaks.isPresent() ? VerdictKind.LEAK.word() : "none",
          leaks.isPresent() ? VerdictShape.of(VerdictKind.LEAK, 0) : "",
          "",
          "",
          Optional.empty(),
          with(sites(jobId, wet, List.of()), others(jobId, known, List.of())),
          before(known),
          suspects.suspects(jobId),
          flags(jobId),
          suspects.next(jobId));
    }
    PressureTestView test = newest.get();
    VerdictWords.Said said = verdicts.said(test, figures);
    Optional<String> again = again(jobId);
    String at =
        test.pumping() || again.isPresent()
            ? ""
            : test.result().rate().isPresent()
                ? words.say("so-far.at", figures.pressure(test.conditions().rated().kilopascals()))
                : words.say(
                    test.result().lowerBound().isPresent() ? "so-far.kept" : "so-far.no-rate");
    List<Caught> caught = cases.caught(test);
    Optional<LeakBalance> balance = known.balance();
    return new SoFar(
        again.map(a -> words.say("so-far.again", a)).orElse(said.headline()),
        again.isPresent() ? VerdictKind.LEAK.word() : said.kind(),
        again.isPresent() ? VerdictShape.of(VerdictKind.LEAK, 0) : said.shape(),
        at,
        balance
            .map(b -> BalanceBar.of(b, words.say("so-far.bar"), words.say("so-far.not-found")))
            .orElse(""),
        balance.map(b -> sentence(b, wet)),
        found(
            with(
                sites(jobId, wet, balance.map(LeakBalance::explained).orElse(List.of())),
                others(jobId, known, caught)),
            caught,
            test),
        before(known),
        suspects.suspects(jobId),
        flags(jobId),
        suspects.next(jobId));
  }

  /** What was found before the repair and counts no more, once the repair is tested. */
  private Optional<String> before(Case known) {
    long found = known.foundBefore();
    return found == 0 ? Optional.empty() : Optional.of(words.say("so-far.before-repair", found));
  }

  @Override
  public boolean looksOn(UUID jobId) {
    return cases.of(jobId).balance().filter(LeakBalance::anotherLeak).isPresent();
  }

  @Override
  public Map<String, Double> suspected(UUID jobId) {
    Map<String, Double> suspected = new HashMap<>();
    Assessment known = suspects.assess(jobId);
    if (!known.job().isProven()) {
      known.posterior().suspects().forEach(s -> suspected.put(s.place(), s.probability()));
      known.suspects().forEach(s -> suspected.putIfAbsent(s.place(), s.probability()));
    }
    return suspected;
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

  private static List<Site> with(List<Site> sites, List<Site> others) {
    List<Site> all = new ArrayList<>(sites);
    all.addAll(others);
    return all;
  }

  /** What was found otherwise than wet outside: glow, and cylinders of which no flow was caught. */
  private List<Site> others(UUID jobId, Case known, List<Caught> caught) {
    List<Site> others = new ArrayList<>();
    known.counting(Scanned.class).stream()
        .filter(s -> s.glow().counts())
        .map(s -> site(jobId, names.joint(jobId, s.place()), "so-far.glows", "/dye"))
        .forEach(others::add);
    Map<Integer, InCylinder> cylinders = new TreeMap<>();
    known.counting(InCylinder.class).forEach(c -> cylinders.put(c.number(), c));
    caught.forEach(
        c -> {
          if (c.from() instanceof CaughtFrom.Cylinder cylinder) {
            cylinders.remove(cylinder.number());
          }
        });
    cylinders.values().stream()
        .filter(InCylinder::wet)
        .map(
            c ->
                site(
                    jobId,
                    words.say("so-far.cylinder", c.number()),
                    c.pooled() ? "so-far.pooled" : "so-far.wet",
                    "/inside"))
        .forEach(others::add);
    return others;
  }

  private Site site(UUID jobId, String name, String said, String page) {
    return new Site(name, words.say(said), "/jobs/" + jobId + page);
  }

  private String sentence(LeakBalance balance, List<Looked> wet) {
    if (wet.isEmpty() && balance.explained().isEmpty()) {
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

  private List<Site> sites(UUID jobId, List<Looked> wet, List<Double> explained) {
    List<Site> sites = new ArrayList<>();
    int counted = 0;
    for (Looked site : wet) {
      String flow = words.say("so-far.not-counted");
      if (site.flow().isPresent()) {
        double rate =
            counted < explained.size()
                ? explained.get(counted)
                : site.flow().get().rate().millilitresPerMinute();
        counted++;
        flow =
            Figures.rate(rate, LeakBalance.DROP_SIZE_U * rate)
                + " \u00b1 "
                + Figures.halfWidth(LeakBalance.DROP_SIZE_U * rate)
                + " mL/min";
      }
      sites.add(
          new Site(
              names.joint(jobId, site.place()),
              flow,
              "/jobs/" + jobId + "/find?joint=" + site.place()));
    }
    return sites;
  }
}
