package gotera.formats;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.formats.HoldDescription.DrawMember;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.pressure.HoldConditions;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.compliance.MeasuredCompliance;
import gotera.pressure.compliance.MeasuredCompliance.HosePrior;
import gotera.pressure.compliance.Strokes;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
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
 * Turns a hold description into the conditions of a pressure test. Absent members take the defaults
 * of the format; each default taken is named.
 *
 * @param conditions the conditions
 * @param assumed members that were absent and took their default
 */
public record HoldDefaults(HoldConditions conditions, List<String> assumed) {
  /** Gauge where none is described: 0.5 psi steps (format default). */
  private static final GaugeMember COARSE =
      new GaugeMember(3.4, 1.0, OptionalDouble.empty(), OptionalDouble.empty(), true);

  private static final double ROOM = 20; // °C
  private static final double HALF = 0.5;
  private static final double ZERO_DRIFT = 0.1;
  private static final double HOSE_RELATIVE_U = 0.3;

  /** Even hoses that are said to give nothing are known no better than this (mL/kPa). */
  private static final double LEAST_HOSE = 0.05;

  /** Completes a description for a trace. */
  public static HoldDefaults complete(HoldDescription d, Trace trace) {
    List<String> assumed = new ArrayList<>();
    GaugePressure rated = new GaugePressure(d.ratedKpa());
    GaugePressure limit = new GaugePressure(or(d.limitKpa(), d.ratedKpa(), "limit_kpa", assumed));
    AbsolutePressure atmosphere =
        new AbsolutePressure(or(d.atmosphereKpa(), 101.325, "atmosphere_kpa", assumed));
    Gauge gauge = gauge(d, assumed);
    if (d.thermometer().isEmpty()) {
      assumed.add("thermometer");
    }
    Soak soak =
        d.soakHours().isEmpty()
            ? new Soak.Unknown()
            : Double.isInfinite(d.soakHours().getAsDouble())
                ? new Soak.Overnight()
                : new Soak.Hours(d.soakHours().getAsDouble());
    if (d.soakHours().isEmpty() && d.thermometer().isEmpty()) {
      assumed.add("soak");
    }
    GaugePressure start = holdStart(d, trace);
    Temperature ambient = Temperature.ofCelsius(or(d.ambientC(), ROOM, "ambient_c", assumed));
    CoolantMixture coolant = new CoolantMixture(or(d.strength(), HALF, "strength", assumed));
    AirAndHoses gives = airAndHoses(d, start, atmosphere, gauge, assumed);
    HoldConditions.OwnLeak ownLeak =
        new HoldConditions.OwnLeak(
            new LeakRate(or(d.ownLeak(), 0, "own_leak_ml_per_min", assumed)),
            or(d.ownLeakU(), 0, "own_leak_u", assumed));
    Acceptance acceptance = acceptance(d, atmosphere, assumed);
    HoldConditions conditions =
        new HoldConditions(
            new HoldConditions.Limits(
                rated,
                new TestLimit(limit, source(d)),
                acceptance,
                d.makerRule().map(HoldDefaults::rule)),
            new HoldConditions.Surroundings(atmosphere, ambient, soak),
            new HoldConditions.FilledSystem(new Volume(d.liquidMl()), coolant, gives, d.medium()),
            new HoldConditions.Instruments(
                gauge,
                d.thermometer().map(t -> new Thermometer(t.resolutionC(), t.repeatabilityC())),
                ownLeak),
            new HoldConditions.Course(
                pumping(d, trace, assumed),
                d.earlier().stream()
                    .map(e -> new HoldConditions.EarlierHold(e.settledMl(), e.u()))
                    .toList(),
                d.releasedBeforeMin(),
                d.closingDraw().map(HoldDefaults::draw),
                d.windowS().map(w -> new HoldConditions.Window(w.get(0), w.get(1)))));
    return new HoldDefaults(conditions, List.copyOf(assumed));
  }

  private static MakerRule rule(HoldDescription.RuleMember r) {
    return new MakerRule(new GaugePressure(r.pressureKpa()), r.minutes(), r.dropKpa());
  }

  private static double or(
      OptionalDouble value, double otherwise, String member, List<String> assumed) {
    if (value.isEmpty()) {
      assumed.add(member);
    }
    return value.orElse(otherwise);
  }

  private static TestLimit.Source source(HoldDescription d) {
    if (d.limitFromMaker()) {
      return d.limitKpa().orElse(0) > d.ratedKpa()
          ? TestLimit.Source.MAKER_TEST_PRESSURE
          : TestLimit.Source.MAKER_FIGURE;
    }
    return TestLimit.Source.CAP;
  }

  private static Gauge gauge(HoldDescription d, List<String> assumed) {
    if (d.gauge().isEmpty()) {
      assumed.add("gauge");
    }
    GaugeMember g = d.gauge().orElse(COARSE);
    return new Gauge(
        g.resolutionKpa(),
        g.repeatabilityKpa(),
        g.rangeKpa(),
        or(g.zeroDriftKpa(), ZERO_DRIFT, "gauge.zero_drift_kpa", assumed),
        g.calibrated());
  }

  private static AirAndHoses airAndHoses(
      HoldDescription d,
      GaugePressure start,
      AbsolutePressure atmosphere,
      Gauge gauge,
      List<String> assumed) {
    HoldDescription.Compliance c = d.compliance();
    if (!c.draws().isEmpty() || c.strokes().isPresent()) {
      Temperature ambient = Temperature.ofCelsius(d.ambientC().orElse(ROOM));
      AbsolutePressure dry =
          new AbsolutePressure(
              start.above(atmosphere).kilopascals()
                  - new CoolantMixture(d.strength().orElse(HALF))
                      .vapourPressure(ambient)
                      .kilopascals());
      return measured(c, hosePrior(c, assumed), start, atmosphere, ambient, gauge).airAndHoses(dry);
    }
    return new AirAndHoses(
        new Volume(c.trappedAirMl().orElseThrow()),
        or(c.hoseMlPerKpa(), Geometry.USUAL_HOSE, "compliance.hose_ml_per_kpa", assumed),
        or(
            c.relativeUncertainty(),
            Geometry.RELATIVE_UNCERTAINTY,
            "compliance.relative_uncertainty",
            assumed),
        c.measured() ? AirAndHoses.Source.MEASURED : AirAndHoses.Source.GEOMETRY);
  }

  /** What is known of the hoses beforehand; draws that are nearly alike tell nothing of them. */
  private static HosePrior hosePrior(HoldDescription.Compliance c, List<String> assumed) {
    double hose = or(c.hoseMlPerKpa(), Geometry.USUAL_HOSE, "compliance.hose_ml_per_kpa", assumed);
    return new HosePrior(hose, HOSE_RELATIVE_U * Math.max(hose, LEAST_HOSE));
  }

  private static MeasuredCompliance measured(
      HoldDescription.Compliance c,
      HosePrior prior,
      GaugePressure start,
      AbsolutePressure atmosphere,
      Temperature ambient,
      Gauge gauge) {
    if (c.strokes().isPresent()) {
      HoldDescription.StrokesMember s = c.strokes().get();
      Strokes strokes =
          new Strokes(
              new Volume(s.strokeMl()),
              Strokes.USUAL_RELATIVE_U,
              new GaugePressure(s.startKpa()),
              ambient,
              ambient,
              s.readings().stream()
                  .map(r -> new Strokes.Reading(r.count(), new GaugePressure(r.gaugeKpa())))
                  .toList());
      return MeasuredCompliance.fromStrokes(
          strokes, Optional.of(prior), start, atmosphere, gauge.noise());
    }
    return MeasuredCompliance.fromDraws(
        c.draws().stream().map(HoldDefaults::draw).toList(),
        Optional.of(prior),
        start,
        atmosphere,
        gauge.noise());
  }

  private static Draw draw(DrawMember d) {
    return new Draw(
        new Volume(Math.abs(d.ml())),
        new GaugePressure(d.beforeKpa()),
        new GaugePressure(d.afterKpa()));
  }

  /** A purpose's limit is one of coolant: for a test with air, what a hole of that size passes. */
  private static Acceptance acceptance(
      HoldDescription d, AbsolutePressure atmosphere, List<String> assumed) {
    if (d.acceptance().isPresent() && d.purpose().isEmpty()) {
      return new Acceptance(Purpose.OWN, d.acceptance().getAsDouble());
    }
    if (d.purpose().isEmpty()) {
      assumed.add("purpose");
    }
    String word = d.purpose().orElse(Purpose.SIGN_OFF.word());
    for (Purpose purpose : Purpose.values()) {
      if (purpose.word().equals(word)) {
        return new Acceptance(
            purpose, d.acceptance().orElseGet(() -> purpose.usual() * air(d, atmosphere)));
      }
    }
    throw new IllegalArgumentException("purpose " + word);
  }

  /** Air that passes the hole which passes one of coolant (1). */
  private static double air(HoldDescription d, AbsolutePressure atmosphere) {
    GaugePressure rated = new GaugePressure(d.ratedKpa());
    CoolantMixture coolant = new CoolantMixture(d.strength().orElse(HALF));
    return switch (d.medium()) {
      case LIQUID -> 1;
      case GAS -> 1 / AsCoolant.ofGas(1, rated, atmosphere, coolant).orifice();
      case VACUUM -> 1 / AsCoolant.ofVacuum(1, rated, atmosphere, coolant).orifice();
    };
  }

  private static HoldConditions.Pumping pumping(
      HoldDescription d, Trace trace, List<String> assumed) {
    OptionalDouble until = d.pumpedUntilS();
    if (until.isEmpty()) {
      assumed.add("pumped_until_s");
      until =
          trace
              .last(TraceEvent.Kind.VALVE_SHUT)
              .map(e -> OptionalDouble.of(e.seconds()))
              .orElse(OptionalDouble.empty());
    }
    return new HoldConditions.Pumping(
        until, new GaugePressure(or(d.pumpedFromKpa(), 0, "pumped_from_kpa", assumed)));
  }

  /**
   * Gauge pressure when the hold began: valve shut, else end of pumping, else the first reading.
   */
  private static GaugePressure holdStart(HoldDescription d, Trace trace) {
    double from =
        trace
            .last(TraceEvent.Kind.VALVE_SHUT)
            .map(TraceEvent::seconds)
            .orElse(d.pumpedUntilS().orElse(Double.NEGATIVE_INFINITY));
    for (int i = 0; i < trace.size(); i++) {
      if (trace.seconds(i) >= from) {
        return plausible(trace.gauge(i), d);
      }
    }
    return plausible(trace.size() > 0 ? trace.gauge(trace.size() - 1) : 0, d);
  }

  /** A reading that cannot have been says nothing of the start; the verdict says so of it. */
  private static GaugePressure plausible(double gauge, HoldDescription d) {
    return new GaugePressure(Range.PRESSED.holds(gauge) ? gauge : d.ratedKpa());
  }
}
