package gotera.web.evidence;

import gotera.balance.SiteFlow;
import gotera.circuit.Circuit;
import gotera.circuit.DripSpot;
import gotera.dye.Dye;
import gotera.pressure.verdict.VerdictKind;
import gotera.said.CaughtFrom;
import gotera.standing.Happened;
import gotera.suspects.Case;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Replaced;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Sign;
import gotera.suspects.ShopOdds;
import gotera.suspects.Told;
import gotera.suspects.WhereLost;
import gotera.web.bubble.FunnelService;
import gotera.web.cap.CapService;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.ConditionService;
import gotera.web.circuit.DripService;
import gotera.web.circuit.LeakSite;
import gotera.web.circuit.ReachService;
import gotera.web.combustion.GasService;
import gotera.web.dye.DyeService;
import gotera.web.inside.InsideService;
import gotera.web.job.JobMemo;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.pressure.Catches;
import gotera.web.pressure.Caught;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import gotera.web.storage.RequestMemo;
import gotera.word.Worded;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Gathers what every feature of a job kept, as observations in the order of time. */
@Component
public class Cases {
  private final JobService jobs;
  private final CircuitService circuits;
  private final DripService drips;
  private final ConditionService conditions;
  private final InsideService inside;
  private final GasService gas;
  private final FunnelService funnels;
  private final DyeService dye;
  private final ReachService reach;
  private final CapService caps;
  private final RepairService repairs;
  private final PressureService tests;
  private final Catches catches;
  private final LearnedOdds shop;
  private final JobMemo kept;
  private final RequestMemo memo;

  Cases(
      JobService jobs,
      CircuitService circuits,
      DripService drips,
      ConditionService conditions,
      InsideService inside,
      GasService gas,
      FunnelService funnels,
      DyeService dye,
      ReachService reach,
      CapService caps,
      RepairService repairs,
      PressureService tests,
      Catches catches,
      LearnedOdds shop,
      JobMemo kept,
      RequestMemo memo) {
    this.kept = kept;
    this.jobs = jobs;
    this.circuits = circuits;
    this.drips = drips;
    this.conditions = conditions;
    this.inside = inside;
    this.gas = gas;
    this.funnels = funnels;
    this.dye = dye;
    this.reach = reach;
    this.caps = caps;
    this.repairs = repairs;
    this.tests = tests;
    this.catches = catches;
    this.shop = shop;
    this.memo = memo;
  }

  /** What was gathered of a job. */
  private record Gathered(Case known, List<Happened<Observation>> visit) {}

  private Gathered gathered(UUID jobId) {
    return memo.of(List.of("gathered", jobId), () -> lasts(jobId, "gathered", () -> gather(jobId)));
  }

  /** What was observed on a job, and when each of it happened. */
  public List<Happened<Observation>> visit(UUID jobId) {
    return gathered(jobId).visit();
  }

  /** Places that leaked when they were seen last, and that the circuit has not any more. */
  List<String> gone(UUID jobId) {
    return circuits.gone(jobId).stream().map(LeakSite::joint).toList();
  }

  /** What is to be assessed of a job now. */
  public Case of(UUID jobId) {
    return memo.of(
        List.of("case", jobId),
        () -> {
          ShopOdds odds = shop.odds();
          Case known = gathered(jobId).known();
          return odds.equals(ShopOdds.NONE) ? known : known.in(odds);
        });
  }

  /** What follows from a job alone: until somebody writes, but anew while a test goes on. */
  private <T> T lasts(UUID jobId, String what, Supplier<T> read) {
    return tests.all(jobId).stream().allMatch(t -> t.finishedAt().isPresent())
        ? kept.shared(what, jobId, read)
        : read.get();
  }

  private Gathered gather(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    List<Happened<Observation>> timed = new ArrayList<>();
    circuits.looks(jobId).forEach(s -> timed.add(new Happened<>(s.at(), s.looked())));
    conditions.all(jobId).forEach(c -> timed.add(new Happened<>(c.at(), c.what())));
    inside.all(jobId).forEach(f -> timed.add(new Happened<>(f.at(), f.what())));
    gas.results(jobId).forEach(r -> timed.add(new Happened<>(r.at(), r.what())));
    funnels.results(jobId).forEach(r -> timed.add(new Happened<>(r.at(), r.what())));
    drips.all(jobId).forEach(d -> timed.add(new Happened<>(d.at(), d.what())));
    for (PressureTestView test : tests.all(jobId)) {
      if (saysSomething(test)) {
        timed.add(new Happened<>(test.startedAt(), held(test)));
        inCylinders(test).forEach(c -> timed.add(new Happened<>(test.startedAt(), c)));
      }
    }
    cap(jobId, circuit).ifPresent(timed::add);
    for (RepairNote note : repairs.notes(jobId)) {
      timed.add(new Happened<>(note.at(), new Observation.Repaired(note.joint())));
    }
    for (Scanned scan : scans(circuit, dye.known(jobId, circuit))) {
      dye.scanned(jobId, scan.place()).ifPresent(at -> timed.add(new Happened<>(at, scan)));
    }
    told(jobs.require(jobId)).forEach(o -> timed.add(new Happened<>(Instant.MIN, o)));
    timed.sort(Comparator.comparing(Happened::at));
    return new Gathered(
        new Case(circuit, timed.stream().map(Happened::what).toList(), reach.heaterShut(jobId)),
        List.copyOf(timed));
  }

  /** How the cap did on its tester. */
  private Optional<Happened<Observation>> cap(UUID jobId, Circuit circuit) {
    return CapTried.CAPS.stream()
        .filter(c -> circuit.joint(c).isPresent())
        .findFirst()
        .flatMap(
            c -> caps.tried(jobId).map(t -> new Happened<>(t.at(), new CapTried(c, t.passed()))));
  }

  private static List<Observation> told(JobView job) {
    List<Observation> told = new ArrayList<>();
    job.signs().forEach(s -> told.add(new Sign(s)));
    Worded.of(WhereLost.class, job.whereLost())
        .flatMap(WhereLost::sign)
        .ifPresent(s -> told.add(new Sign(s)));
    if (job.lossMlPerWeek().orElse(0) > 0) {
      told.add(new Told.Loss(job.lossMlPerWeek().getAsDouble(), positive(job.hotHoursPerWeek())));
    }
    Worded.of(DripSpot.class, job.told().puddleAt()).map(Told.Puddle::new).ifPresent(told::add);
    Worded.of(Told.Surface.class, job.told().ground()).map(Told.Ground::new).ifPresent(told::add);
    Worded.of(Told.Length.class, job.told().trips()).map(Told.Trips::new).ifPresent(told::add);
    if (job.replacedDays().isPresent() && !job.replacedPart().isEmpty()) {
      told.add(new Replaced(job.replacedPart(), job.replacedDays().getAsDouble()));
    }
    return told;
  }

  private static OptionalDouble positive(OptionalDouble hours) {
    return hours.orElse(0) > 0 ? hours : OptionalDouble.empty();
  }

  private static List<Scanned> scans(Circuit circuit, Dye known) {
    return circuit.joints().stream()
        .flatMap(j -> known.says(j).map(g -> new Scanned(j.code(), g)).stream())
        .toList();
  }

  private static boolean saysSomething(PressureTestView test) {
    return test.trace().size() >= 2 || test.result().verdict() == VerdictKind.STOPPED;
  }

  /** The newest test that has something to say. */
  Optional<PressureTestView> newest(UUID jobId) {
    return tests.all(jobId).stream().filter(Cases::saysSomething).reduce((a, b) -> b);
  }

  private Held held(PressureTestView test) {
    List<SiteFlow> caught =
        caught(test).stream().map(Caught::flow).flatMap(Optional::stream).toList();
    boolean afterRepair = test.phase() == Phase.RE_TEST;
    boolean shut = reach.heaterShut(test.jobId(), test.startedAt());
    return Held.of(test.result(), test.conditions(), test.loop(), afterRepair, caught)
        .withHeaterShut(shut);
  }

  /** Coolant out of a cylinder: seen there too; its flow is counted with the hold. */
  private List<InCylinder> inCylinders(PressureTestView test) {
    List<InCylinder> seen = new ArrayList<>();
    for (Caught c : catches.of(test)) {
      if (c.from() instanceof CaughtFrom.Cylinder cylinder) {
        OptionalDouble none = OptionalDouble.empty();
        seen.add(new InCylinder(cylinder.number(), true, none, none, c.minutes().isEmpty()));
      }
    }
    return seen;
  }

  /** What was caught inside during a test, where it says a flow. */
  List<Caught> caught(PressureTestView test) {
    return catches.of(test).stream().filter(c -> c.flow().isPresent()).toList();
  }
}
