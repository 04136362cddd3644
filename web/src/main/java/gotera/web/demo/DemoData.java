package gotera.web.demo;

import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.Features;
import gotera.circuit.Features.Extra;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.Compliance;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.GaugePressure;
import gotera.said.DyeSaid.Match;
import gotera.said.DyeSaid.Scanned;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import gotera.suspects.Observation.Looked;
import gotera.web.account.AccountService;
import gotera.web.account.Role;
import gotera.web.cap.CapEntry;
import gotera.web.cap.CapService;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.DripService;
import gotera.web.circuit.EngineTypeService;
import gotera.web.decide.PriceService;
import gotera.web.dye.DyeService;
import gotera.web.equipment.EquipmentService;
import gotera.web.guide.GuideService;
import gotera.web.job.Intake;
import gotera.web.job.JobService;
import gotera.web.photo.Photograph;
import gotera.web.pressure.Phase;
import gotera.web.refill.RefillService;
import gotera.web.repair.RepairService;
import gotera.web.report.PaperService;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * The workshop of a mountain mobile-library service with four jobs: a fresh one with a gross leak,
 * one under way with a slow seep and two leak sites, one proven tight, one found by dye. Vehicles,
 * figures and curves are invented; the curves are simulated by the stand-in vehicle.
 */
@Component
class DemoData {
  private static final String BY = "bench";
  private static final Optional<Photograph> NO_PHOTO = Optional.empty();
  private static final double STRENGTH = 0.5;

  private final DemoProperties properties;
  private final AccountService accounts;
  private final JobService jobs;
  private final CapService caps;
  private final DemoHolds holds;
  private final CircuitService circuits;
  private final RepairService repairs;
  private final EquipmentService equipment;
  private final PriceService prices;
  private final PaperService paper;
  private final GuideService guides;
  private final RefillService refills;
  private final EngineTypeService types;
  private final DripService drips;
  private final DyeService dye;

  DemoData(
      DemoProperties properties,
      AccountService accounts,
      JobService jobs,
      CapService caps,
      DemoHolds holds,
      CircuitService circuits,
      RepairService repairs,
      EquipmentService equipment,
      PriceService prices,
      PaperService paper,
      GuideService guides,
      RefillService refills,
      EngineTypeService types,
      DripService drips,
      DyeService dye) {
    this.equipment = equipment;
    this.prices = prices;
    this.paper = paper;
    this.guides = guides;
    this.refills = refills;
    this.types = types;
    this.drips = drips;
    this.dye = dye;
    this.properties = properties;
    this.accounts = accounts;
    this.jobs = jobs;
    this.caps = caps;
    this.holds = holds;
    this.circuits = circuits;
    this.repairs = repairs;
  }

  /** Loads the demonstration once; later starts only renew the passwords. */
  @EventListener(ApplicationReadyEvent.class)
  void load() {
    if (!properties.wanted()) {
      return;
    }
    boolean first = !accounts.anyExists();
    accounts.put("lead", "Workshop lead", properties.password(), Role.LEAD);
    accounts.put(BY, "Technician at the bench", properties.password(), Role.TECHNICIAN);
    accounts.put("desk", "Service desk", properties.password(), Role.SERVICE_DESK);
    if (first) {
      // the history names who wrote it
      SecurityContextHolder.getContext()
          .setAuthentication(
              UsernamePasswordAuthenticationToken.authenticated(BY, null, List.of()));
      try {
        DemoEquipment.put(equipment, BY);
        DemoPrices.put(prices);
        paper.head("Workshop of the mountain library", "Saddle road 4\nUpper village", "a4");
        glows();
        provenTight();
        slowSeep();
        gross();
      } finally {
        SecurityContextHolder.clearContext();
      }
    }
  }

  private void gross() {
    UUID job =
        job(
            "Fenn 20",
            "Small book van, in-line engine across",
            "Puddle under the front after every stop, worse this week",
            "puddle",
            2200,
            7400);
    cap(job, "1.1 bar", 110);
    Bench bench = new Bench(new SystemUnderTest(210, 7400, 0.27, 0.03, 90, 4.2e-4, 0.76));
    Hold hold = new Hold(58, 40, 70, 5, 17, 0);
    Trace trace = bench.run(hold, List.of(Leak.orifice(62, 110)), 21);
    holds.sealed(job, Phase.SEARCH, bench.hold(110, Purpose.SEARCH, 150, Draws.NONE), trace, BY);
  }

  private void circuit(UUID job, String type, String preset) {
    types.build(job, type, CircuitPresets.of(preset).orElseThrow().features(), 0, BY);
  }

  private void slowSeep() {
    UUID job =
        job(
            "Halde 31",
            "Long book van, in-line engine across",
            "Loses about a litre a week; driver smells it on the pass road",
            "after-drive",
            1100,
            8600);
    circuit(job, "2.6 across", "inline-across-neck");
    cap(job, "17 psi", 17 * 6.894757);
    SystemUnderTest system = new SystemUnderTest(240, 8600, 0.31, 0.04, 100, 4.2e-4, 0.76);
    Bench bench = new Bench(system);
    List<Leak> leaks = List.of(Leak.seep(0.46, 117), Leak.seep(0.16, 117));
    Hold hold = new Hold(117, 30, 16 * 60, 15, 18.4, -0.012);
    Draws draws = bench.draws(hold, leaks, 31);
    Trace.Builder trace = copy(bench.run(hold, leaks, 32));
    trace.event(TraceEvent.at(30 + 6.4 * 60, TraceEvent.Kind.FIRST_BEAD));
    holds.sealed(
        job, Phase.SEARCH, bench.hold(117.2, Purpose.SEARCH, 160, draws), trace.build(), BY);
    circuits.log(
        job,
        seen(
            wet("thermostat-housing.gasket", 4, 112),
            "First bead after six minutes on a dried face"),
        BY);
    circuits.log(
        job, seen(wet("lower-hose.radiator-end", 2, 111), "Clamp rusted, bead under it"), BY);
    for (String dry :
        List.of(
            "cap.neck", "upper-hose.radiator-end", "upper-hose.housing-end", "pump.shaft-seal")) {
      circuits.log(
          job,
          new Looked(
              dry, LookState.PRESSED, Sight.DRY, OptionalDouble.of(111), OptionalDouble.empty()),
          BY);
    }
    circuits.log(
        job,
        seen(
            new Looked(
                "radiator.lower-seam",
                LookState.COLD,
                Sight.STAINED,
                OptionalDouble.empty(),
                OptionalDouble.empty()),
            "Old white crust, dry today"),
        BY);
    drips.write(job, DripSpot.ENGINE_MOUNT, LookState.PRESSED, BY);
  }

  private static CircuitService.Seen seen(Looked look, String note) {
    return new CircuitService.Seen(look, Optional.empty(), note, Optional.empty());
  }

  private void provenTight() {
    UUID job =
        job(
            "Corrie 12",
            "Lending bus, V engine across",
            "Steam at the front on the last climb, level down",
            "running",
            900,
            9200);
    circuit(job, "3.4 V across", "v-across-outlet-over-gearbox");
    cap(job, "110 kPa", 110);
    SystemUnderTest system = new SystemUnderTest(150, 9200, 0.33, 0.03, 80, 4.2e-4, 0.76);
    Bench bench = new Bench(system);
    List<Leak> leak = List.of(Leak.seep(1.35, 110));
    Hold hold = new Hold(109.5, 25, 10 * 60, 10, 16.2, 0.004);
    holds.sealed(
        job,
        Phase.SEARCH,
        bench.hold(110, Purpose.SEARCH, 110, bench.draws(hold, leak, 41)),
        bench.run(hold, leak, 42),
        BY);
    circuits.log(
        job,
        seen(
            wet("upper-hose.housing-end", 26, 108), "Split under the clamp, runs down the housing"),
        BY);
    repairs.write(
        job,
        new RepairService.Done(
            "upper-hose.housing-end",
            "New upper hose cut to the old length, both clamps renewed, neck cleaned.",
            true,
            Optional.empty()),
        BY);
    DemoRefill.put(refills, job, STRENGTH, BY);
    Hold again = new Hold(109.5, 25, 25 * 60, 10, 17.1, 0.003);
    holds.sealed(
        job,
        Phase.RE_TEST,
        bench.hold(110, Purpose.SIGN_OFF, 110, bench.draws(again, List.of(), 51)),
        bench.run(again, List.of(), 52),
        BY);
  }

  private void glows() {
    UUID job =
        job(
            "Skarn set 2",
            "Generator set, in-line diesel along",
            "Needs topping up after every long run, nothing on the ground",
            "never-seen",
            650,
            5200);
    types.build(
        job,
        "2.1 generator set",
        Features.of(
            Features.Drive.DIESEL,
            Features.Fill.NECK,
            Features.Engine.INLINE,
            Features.Orientation.ALONG,
            Extra.NO_HEATER,
            Extra.BYPASS_HOSE,
            Extra.PUMP_HIDDEN_GASKET,
            Extra.OIL_COOLER),
        0,
        BY);
    dye.scanned(job, scanned("radiator.drain-tap", 9), "Old, dry", NO_PHOTO, BY);
    dye.scannedBefore(job, BY);
    dye.dosed(job, Match.MATCHED, OptionalDouble.of(22), BY);
    dye.ran(job, 16, true, false, BY);
    dye.round(job, BY);
    dye.scanned(job, scanned("radiator.drain-tap", 9), "", NO_PHOTO, BY);
    dye.scanned(job, scanned("pump.block-gasket", 5), "Behind the pump", NO_PHOTO, BY);
    for (String dark : List.of("pump.gasket", "radiator.core", "upper-hose.housing-end")) {
      dye.scanned(job, new Scanned(dark, false, OptionalDouble.empty()), "", NO_PHOTO, BY);
    }
    DemoGuides.put(guides, job, BY);
  }

  /** A joint that glows, so large (mm). */
  private static Scanned scanned(String joint, double millimetres) {
    return new Scanned(joint, true, OptionalDouble.of(millimetres));
  }

  private UUID job(
      String vehicle,
      String description,
      String complaint,
      String whereLost,
      double lossMlPerWeek,
      double liquidMl) {
    UUID job = jobs.begin(BY);
    jobs.write(
        job,
        new Intake(
            vehicle,
            description,
            "complaint",
            complaint,
            whereLost,
            List.of(),
            "",
            Intake.Told.NOTHING,
            "",
            OptionalDouble.empty(),
            OptionalDouble.of(lossMlPerWeek),
            OptionalDouble.of(7),
            OptionalDouble.of(lossMlPerWeek),
            OptionalDouble.of(liquidMl),
            OptionalDouble.of(STRENGTH)),
        jobs.require(job).version());
    return job;
  }

  private void cap(UUID job, String stamp, double kilopascals) {
    caps.write(job, CapEntry.stamped(stamp, new GaugePressure(kilopascals), "good"), BY, 0);
  }

  /** Seen wet under pressure (kPa), with its drops per minute. */
  private static Looked wet(String joint, double drops, double kilopascals) {
    return new Looked(
        joint,
        LookState.PRESSED,
        Sight.WET,
        OptionalDouble.of(kilopascals),
        OptionalDouble.of(drops));
  }

  private static Trace.Builder copy(Trace trace) {
    Trace.Builder builder = Trace.builder();
    for (int i = 0; i < trace.size(); i++) {
      builder.reading(trace.seconds(i), trace.gauge(i), trace.celsius(i));
    }
    trace.events().forEach(builder::event);
    return builder;
  }

  /** Draws at the end of a hold. */
  private record Draws(Optional<Draw> measuring, Optional<Draw> closing) {
    static final Draws NONE = new Draws(Optional.empty(), Optional.empty());
  }

  /** A stand-in vehicle on a simulated bench. */
  private record Bench(SystemUnderTest system) {
    private static final Instruments INSTRUMENTS = new Instruments(0.1, 0.05, 0.05, 0.025);

    Trace run(Hold hold, List<Leak> leaks, long seed) {
      return new StandInVehicle(system, leaks, INSTRUMENTS).run(hold, new Random(seed)).trace();
    }

    Draws draws(Hold hold, List<Leak> leaks, long seed) {
      StandInVehicle vehicle = new StandInVehicle(system, leaks, INSTRUMENTS);
      double[] large = vehicle.draw(hold, 20, new Random(seed));
      double[] small = vehicle.draw(hold, 2, new Random(seed + 1));
      return new Draws(
          Optional.of(Draw.of(20, large[0], large[1])),
          Optional.of(Draw.of(2, small[0], small[1])));
    }

    HoldSetup hold(double rated, Purpose purpose, double estimatedAir, Draws draws) {
      HoldSetup bare =
          HoldSetup.of(
              rated,
              system.liquid(),
              Compliance.figure(
                      OptionalDouble.of(estimatedAir),
                      OptionalDouble.empty(),
                      OptionalDouble.empty(),
                      false)
                  .withDraws(draws.measuring().stream().toList()));
      MakerRule rule = new MakerRule(new GaugePressure(Math.rint(rated) - 4), 2, 6);
      return bare.with(bare.limits().under(rated, rated, false).against(purpose, Optional.of(rule)))
          .with(bare.surroundings().stood(Optional.of(new Soak.Overnight())))
          .with(new HoldSetup.Filling(system.liquid(), OptionalDouble.of(STRENGTH), Medium.LIQUID))
          .with(
              HoldSetup.Instruments.of(
                  new KnownGauge(
                      INSTRUMENTS.gaugeStep(),
                      INSTRUMENTS.gaugeNoise(),
                      OptionalDouble.of(250),
                      OptionalDouble.of(0.05),
                      true),
                  Optional.of(
                      new Thermometer(
                          INSTRUMENTS.thermometerStep(), INSTRUMENTS.thermometerNoise()))))
          .with(bare.course().closed(draws.closing()));
    }
  }
}
