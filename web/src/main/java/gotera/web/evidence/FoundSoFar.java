package gotera.web.evidence;

import gotera.balance.LeakBalance;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.dye.Dye;
import gotera.evidence.CheckFacts;
import gotera.evidence.Diagnosis;
import gotera.evidence.Finding;
import gotera.evidence.PlaceFacts;
import gotera.evidence.SignFacts;
import gotera.formats.Vocabulary;
import gotera.look.DripFinding;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.circuit.DripService;
import gotera.web.circuit.LeakSite;
import gotera.web.circuit.ReachService;
import gotera.web.dye.DyeService;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.pressure.PressureTestView;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
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

  private static final CheckFacts STAIN = Vocabulary.published().check("stain");
  private static final CheckFacts DYE = Vocabulary.published().check("dye");
  private static final CheckFacts UNSCANNED = Vocabulary.published().check("dye-unscanned");

  private static final Map<String, String> SIGN_OF =
      Map.of(
          "puddle", "puddle-overnight",
          "after-drive", "loss-after-drive",
          "running", "loss-while-running",
          "never-seen", "never-on-the-ground");

  private final JobService jobs;
  private final DripService drips;
  private final DyeService dye;
  private final ReachService reach;
  private final Vocabulary vocabulary = Vocabulary.published();

  FoundSoFar(JobService jobs, DripService drips, DyeService dye, ReachService reach) {
    this.jobs = jobs;
    this.drips = drips;
    this.dye = dye;
    this.reach = reach;
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
    // cold and parked, warm and running are one state to the model: the newer look counts
    Map<String, Diagnosis.Look> seen = new LinkedHashMap<>();
    for (LeakSite s : looks.all()) {
      if (s.saw().equals("wet") || s.saw().equals("dry")) {
        PlaceFacts.State state = state(s, rated);
        seen.put(s.joint() + " " + state, new Diagnosis.Look(s.joint(), state, s.wet()));
      }
    }
    List<Finding> others = new ArrayList<>();
    looks.all().stream()
        .filter(s -> s.saw().equals("stained"))
        .forEach(s -> others.add(STAIN.at("stain", s.joint(), true)));
    drips.traces(jobId, circuit, looks.since()).forEach(t -> others.add(DripFinding.of(t)));
    others.addAll(lamp(jobId, circuit, looks));
    return new Diagnosis.Found(
        explained,
        List.copyOf(seen.values()),
        // what was told before the repair says nothing of what leaks after it
        looks.afterRepair() ? List.of() : signs(jobId),
        rate(test, balance),
        others,
        reach.cutOff(jobId, circuit, test.map(PressureTestView::loop).orElse("")));
  }

  private List<SignFacts> signs(UUID jobId) {
    JobView job = jobs.require(jobId);
    List<String> told = new ArrayList<>(job.signs());
    Optional.ofNullable(SIGN_OF.get(job.whereLost())).ifPresent(told::add);
    return told.stream().flatMap(s -> vocabulary.sign(s).stream()).toList();
  }

  /** Dye of an earlier repair says nothing about this one. */
  private List<Finding> lamp(UUID jobId, Circuit circuit, Looks looks) {
    Dye known = dye.known(jobId, circuit);
    List<Finding> findings = new ArrayList<>();
    if (known.dosed().filter(d -> d.isAfter(looks.since())).isPresent()) {
      for (Joint joint : circuit.joints()) {
        known
            .says(joint)
            .ifPresent(
                g ->
                    findings.add(
                        (dye.unscanned(known, joint.code()) ? UNSCANNED : DYE)
                            .at(g ? "glow" : "no-glow", joint.code(), g)));
      }
    }
    return findings;
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
