package gotera.web.evidence;

import gotera.balance.LeakBalance;
import gotera.circuit.Circuit;
import gotera.circuit.DripTrace;
import gotera.evidence.Diagnosis;
import gotera.evidence.Finding;
import gotera.evidence.PlaceFacts;
import gotera.evidence.SignFacts;
import gotera.formats.Vocabulary;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.circuit.DripService;
import gotera.web.circuit.LeakSite;
import gotera.web.dye.DyeService;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.pressure.PressureTestView;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Gathers what every check of a job found, as the likelihoods that are weighed. */
@Component
class FoundSoFar {
  /** A look at less than this share of the rated pressure is one without pressure. */
  private static final double PRESSED_SHARE = 0.5;

  private static final double GROSS_U = 0.3;

  /** A stain is old as often as not (our judgement, untested). */
  private static final double STAINED_WHERE_IT_LEAKS = 0.45;

  private static final double STAINED_WHERE_IT_DOES_NOT = 0.12;

  /** A drip from a place that has no name on the drawing (our judgement, untested). */
  private static final double FROM_ELSEWHERE = 0.1;

  /** What the lamp shows of a leak that dye has reached, and glow without one (our judgement). */
  private static final double GLOWS = 0.85;

  private static final double GLOWS_WITHOUT = 0.03;

  private static final Map<String, String> SIGN_OF =
      Map.of(
          "puddle", "puddle-overnight",
          "after-drive", "loss-after-drive",
          "running", "loss-while-running",
          "never-seen", "never-on-the-ground");

  private final JobService jobs;
  private final DripService drips;
  private final DyeService dye;
  private final Vocabulary vocabulary = Vocabulary.published();

  FoundSoFar(JobService jobs, DripService drips, DyeService dye) {
    this.jobs = jobs;
    this.drips = drips;
    this.dye = dye;
  }

  Diagnosis.Found of(
      UUID jobId,
      Circuit circuit,
      Looks looks,
      Optional<PressureTestView> test,
      Optional<LeakBalance> balance) {
    Set<String> explained = new HashSet<>();
    looks.latest().stream()
        .filter(s -> s.flow().isPresent())
        .forEach(s -> explained.add(s.joint()));
    double rated = test.map(t -> t.conditions().rated().kilopascals()).orElse(100.0);
    List<Diagnosis.Look> seen =
        looks.all().stream()
            .filter(s -> s.saw().equals("wet") || s.saw().equals("dry"))
            .map(s -> new Diagnosis.Look(s.joint(), state(s, rated), s.wet()))
            .toList();
    List<Finding> others = new ArrayList<>();
    looks.all().stream().filter(s -> s.saw().equals("stained")).forEach(s -> others.add(stain(s)));
    drips.traces(jobId, circuit).forEach(t -> others.add(drip(t)));
    dye.seen(jobId, circuit, looks.since())
        .forEach(
            (joint, glows) ->
                others.add(
                    new Finding.AtPlace(
                        (glows ? "glow:" : "no-glow:") + joint,
                        joint,
                        glows,
                        GLOWS,
                        GLOWS_WITHOUT)));
    return new Diagnosis.Found(explained, seen, signs(jobId), rate(test, balance), others);
  }

  private List<SignFacts> signs(UUID jobId) {
    JobView job = jobs.require(jobId);
    List<String> told = new ArrayList<>(job.signs());
    Optional.ofNullable(SIGN_OF.get(job.whereLost())).ifPresent(told::add);
    return told.stream().flatMap(s -> vocabulary.sign(s).stream()).toList();
  }

  private static Finding stain(LeakSite site) {
    return new Finding.AtPlace(
        "stain:" + site.joint(),
        site.joint(),
        true,
        STAINED_WHERE_IT_LEAKS,
        STAINED_WHERE_IT_DOES_NOT);
  }

  private static Finding drip(DripTrace trace) {
    Map<String, Double> causes = new HashMap<>(trace.feeds());
    causes.put("elsewhere." + trace.spot().region(), FROM_ELSEWHERE);
    return new Finding.InRegion("drip:" + trace.spot().word(), true, causes, DripTrace.FALSE_ALARM);
  }

  private static PlaceFacts.State state(LeakSite site, double rated) {
    return switch (site.state()) {
      case "warm", "running" -> PlaceFacts.State.RUNNING;
      case "pressure" ->
          site.pressureKpa().isEmpty() || site.pressureKpa().getAsDouble() >= PRESSED_SHARE * rated
              ? PlaceFacts.State.PRESSED
              : PlaceFacts.State.PARKED;
      default -> PlaceFacts.State.PARKED;
    };
  }

  private static Optional<Diagnosis.Rate> rate(
      Optional<PressureTestView> test, Optional<LeakBalance> balance) {
    if (balance.isPresent()) {
      return Optional.of(
          new Diagnosis.Rate(balance.get().unexplained(), balance.get().unexplainedU()));
    }
    // of a gross leak only a lower bound is known (its width: our judgement, untested)
    if (test.isPresent() && test.get().result().lowerBound().isPresent()) {
      double bound = test.get().result().lowerBound().getAsDouble();
      return Optional.of(new Diagnosis.Rate(bound, GROSS_U * bound));
    }
    // what does not count tells nothing, and air tells nothing of coolant
    Optional<Rate> rate =
        test.filter(t -> t.result().verdict() != VerdictKind.NOT_COUNTED)
            .flatMap(t -> t.result().rate())
            .filter(r -> r.asCoolant().isEmpty());
    return rate.map(r -> new Diagnosis.Rate(r.rate(), r.u()));
  }
}
