package gotera.pressure.setup;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.pressure.HoldConditions;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.compliance.MeasuredCompliance;
import gotera.pressure.compliance.MeasuredCompliance.HosePrior;
import gotera.pressure.compliance.Strokes;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.setup.HoldSetup.Compliance;
import gotera.pressure.setup.HoldSetup.CountedStrokes;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.range.Range;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A hold with a default in the place of everything its description left out; each is named.
 *
 * @param conditions the conditions
 * @param assumed what was left out and took its default
 */
public record CompletedHold(HoldConditions conditions, List<Assumption> assumed) {
  /** Completes a description for a trace. */
  public static CompletedHold of(HoldSetup setup, Trace trace) {
    return new Completing(setup, trace).all();
  }

  /** The limit of a hold: the maker's where it is given, else that of the cap. */
  public static TestLimit limit(HoldSetup.Limits limits) {
    return new TestLimit(
        new GaugePressure(limits.limitKpa().orElse(limits.ratedKpa())), Completing.source(limits));
  }

  /** Finest step of the gauge that is read (kPa). */
  public static double gaugeStep(HoldSetup setup) {
    return setup.instruments().gauge().map(KnownGauge::resolution).orElse(Usual.GAUGE_STEP);
  }

  /** One completing: it collects what it assumes on its way. */
  private static final class Completing {
    private final HoldSetup setup;
    private final Trace trace;
    private final List<Assumption> assumed = new ArrayList<>();

    Completing(HoldSetup setup, Trace trace) {
      this.setup = setup;
      this.trace = trace;
    }

    CompletedHold all() {
      HoldSetup.Limits l = setup.limits();
      GaugePressure rated = new GaugePressure(l.ratedKpa());
      AbsolutePressure atmosphere =
          new AbsolutePressure(
              or(
                  setup.surroundings().atmosphereKpa(),
                  AbsolutePressure.STANDARD_ATMOSPHERE.kilopascals(),
                  Assumption.ATMOSPHERE));
      Gauge gauge = gauge();
      Soak soak = soak();
      Temperature ambient =
          Temperature.ofCelsius(
              or(setup.surroundings().ambientC(), Usual.ROOM, Assumption.AMBIENT));
      CoolantMixture coolant =
          new CoolantMixture(or(setup.filling().strength(), Usual.STRENGTH, Assumption.STRENGTH));
      AirAndHoses gives = airAndHoses(atmosphere, ambient, coolant, gauge);
      HoldConditions.OwnLeak ownLeak = ownLeak();
      HoldConditions conditions =
          new HoldConditions(
              new HoldConditions.Limits(
                  rated, limit(l), acceptance(rated, atmosphere, coolant), l.makerRule()),
              new HoldConditions.Surroundings(atmosphere, ambient, soak),
              new HoldConditions.FilledSystem(
                  new Volume(setup.filling().liquidMl()), coolant, gives, setup.medium()),
              new HoldConditions.Instruments(gauge, setup.instruments().thermometer(), ownLeak),
              new HoldConditions.Course(
                  pumping(),
                  setup.course().earlier(),
                  setup.course().releasedBeforeMin(),
                  setup.course().closingDraw(),
                  setup.course().window()));
      return new CompletedHold(conditions, List.copyOf(assumed));
    }

    private double or(OptionalDouble value, double otherwise, Assumption what) {
      if (value.isEmpty()) {
        assumed.add(what);
      }
      return value.orElse(otherwise);
    }

    private TestLimit limit(HoldSetup.Limits limits) {
      if (limits.limitKpa().isEmpty()) {
        assumed.add(Assumption.LIMIT);
      }
      return CompletedHold.limit(limits);
    }

    private static TestLimit.Source source(HoldSetup.Limits limits) {
      if (limits.fromMaker()) {
        return limits.limitKpa().orElse(0) > limits.ratedKpa()
            ? TestLimit.Source.MAKER_TEST_PRESSURE
            : TestLimit.Source.MAKER_FIGURE;
      }
      return TestLimit.Source.CAP;
    }

    private Gauge gauge() {
      Optional<KnownGauge> known = setup.instruments().gauge();
      if (known.isEmpty()) {
        assumed.add(Assumption.GAUGE);
      }
      OptionalDouble drift = known.map(KnownGauge::zeroDrift).orElse(OptionalDouble.empty());
      double zeroDrift = or(drift, Usual.ZERO_DRIFT, Assumption.ZERO_DRIFT);
      return known
          .map(
              g ->
                  new Gauge(
                      g.resolution(), g.repeatability(), g.range(), zeroDrift, g.calibrated()))
          .orElseGet(
              () ->
                  new Gauge(
                      Usual.GAUGE_STEP,
                      Usual.GAUGE_REPEATABILITY,
                      OptionalDouble.empty(),
                      zeroDrift,
                      true));
    }

    /** How long it stood is of no matter where a thermometer was read. */
    private Soak soak() {
      boolean read = setup.instruments().thermometer().isPresent();
      if (!read) {
        assumed.add(Assumption.THERMOMETER);
      }
      if (!read && setup.surroundings().soak().isEmpty()) {
        assumed.add(Assumption.SOAK);
      }
      return setup.surroundings().soak().orElse(new Soak.Unknown());
    }

    private HoldConditions.OwnLeak ownLeak() {
      return new HoldConditions.OwnLeak(
          new LeakRate(or(setup.instruments().ownLeak(), 0, Assumption.OWN_LEAK)),
          or(setup.instruments().ownLeakU(), 0, Assumption.OWN_LEAK_U));
    }

    private AirAndHoses airAndHoses(
        AbsolutePressure atmosphere, Temperature ambient, CoolantMixture coolant, Gauge gauge) {
      Compliance c = setup.compliance();
      double hose = or(c.hoseMlPerKpa(), Geometry.USUAL_HOSE, Assumption.HOSE);
      if (c.isMeasuredHere()) {
        GaugePressure start = holdStart();
        AbsolutePressure dry =
            new AbsolutePressure(
                start.above(atmosphere).kilopascals()
                    - coolant.vapourPressure(ambient).kilopascals());
        // draws that are nearly alike tell nothing of the hoses: what is known of them stays in
        HosePrior prior = new HosePrior(hose, Usual.HOSE_U * Math.max(hose, Usual.LEAST_HOSE));
        return measured(prior, start, atmosphere, ambient, gauge).airAndHoses(dry);
      }
      return new AirAndHoses(
          new Volume(c.trappedAirMl().orElseThrow()),
          hose,
          or(
              c.relativeUncertainty(),
              Geometry.RELATIVE_UNCERTAINTY,
              Assumption.RELATIVE_UNCERTAINTY),
          c.measured() ? AirAndHoses.Source.MEASURED : AirAndHoses.Source.GEOMETRY);
    }

    private MeasuredCompliance measured(
        HosePrior prior,
        GaugePressure start,
        AbsolutePressure atmosphere,
        Temperature ambient,
        Gauge gauge) {
      if (setup.compliance().strokes().isPresent()) {
        CountedStrokes s = setup.compliance().strokes().get();
        Strokes strokes =
            new Strokes(
                new Volume(s.strokeMl()),
                Strokes.USUAL_RELATIVE_U,
                new GaugePressure(s.startKpa()),
                ambient,
                ambient,
                s.readings());
        return MeasuredCompliance.fromStrokes(
            strokes, Optional.of(prior), start, atmosphere, gauge.noise());
      }
      return MeasuredCompliance.fromDraws(
          setup.compliance().draws(), Optional.of(prior), start, atmosphere, gauge.noise());
    }

    /** A purpose's limit is one of coolant: for a test with air, what that hole passes of it. */
    private Acceptance acceptance(
        GaugePressure rated, AbsolutePressure atmosphere, CoolantMixture coolant) {
      Optional<Purpose> purpose = setup.limits().purpose();
      OptionalDouble own = setup.limits().acceptance();
      if (purpose.isEmpty() && own.isPresent()) {
        return new Acceptance(Purpose.OWN, own.getAsDouble());
      }
      if (purpose.isEmpty()) {
        assumed.add(Assumption.PURPOSE);
      }
      Purpose then = purpose.orElse(Purpose.SIGN_OFF);
      return new Acceptance(
          then, own.orElseGet(() -> then.usual() * air(rated, atmosphere, coolant)));
    }

    /** Air that passes the hole which passes one of coolant (1). */
    private double air(GaugePressure rated, AbsolutePressure atmosphere, CoolantMixture coolant) {
      return switch (setup.medium()) {
        case LIQUID -> 1;
        case GAS -> 1 / AsCoolant.ofGas(1, rated, atmosphere, coolant).orifice();
        case VACUUM -> 1 / AsCoolant.ofVacuum(1, rated, atmosphere, coolant).orifice();
      };
    }

    private HoldConditions.Pumping pumping() {
      OptionalDouble until = setup.course().pumpedUntilS();
      if (until.isEmpty()) {
        assumed.add(Assumption.PUMPED_UNTIL);
        until =
            trace
                .last(TraceEvent.Kind.VALVE_SHUT)
                .map(e -> OptionalDouble.of(e.seconds()))
                .orElse(OptionalDouble.empty());
      }
      return new HoldConditions.Pumping(
          until, new GaugePressure(or(setup.course().pumpedFromKpa(), 0, Assumption.PUMPED_FROM)));
    }

    /** Gauge when the hold began: valve shut, else end of pumping, else the first reading. */
    private GaugePressure holdStart() {
      double from =
          trace
              .last(TraceEvent.Kind.VALVE_SHUT)
              .map(TraceEvent::seconds)
              .orElse(setup.course().pumpedUntilS().orElse(Double.NEGATIVE_INFINITY));
      for (int i = 0; i < trace.size(); i++) {
        if (trace.seconds(i) >= from) {
          return plausible(trace.gauge(i));
        }
      }
      return plausible(trace.size() > 0 ? trace.gauge(trace.size() - 1) : 0);
    }

    /** A reading that cannot have been says nothing of the start; the verdict says so of it. */
    private GaugePressure plausible(double gauge) {
      return new GaugePressure(Range.PRESSED.holds(gauge) ? gauge : setup.limits().ratedKpa());
    }
  }
}
