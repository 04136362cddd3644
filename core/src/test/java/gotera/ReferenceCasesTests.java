package gotera;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.balance.LeakBalance;
import gotera.balance.SiteFlow;
import gotera.coolant.BoilingPoint;
import gotera.coolant.CoolantMixture;
import gotera.coolant.Expansion;
import gotera.coolant.SaturationPressure;
import gotera.coolant.Viscosity;
import gotera.pressure.TestPlan;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.compliance.LostVolume;
import gotera.pressure.compliance.MeasuredCompliance;
import gotera.pressure.compliance.Strokes;
import gotera.pressure.law.EquivalentHole;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.Gauge;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.PressureUnit;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.uncertainty.DecisionLimits;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Runs the reference cases of {@code reference/cases.csv}, published tables and facts of the trade,
 * and of {@code outside.csv}, which {@code core/src/test/reference/outside.py} makes with libraries
 * from outside.
 */
class ReferenceCasesTests {
  private static final AbsolutePressure ATMOSPHERE = AbsolutePressure.STANDARD_ATMOSPHERE;

  private static final Map<String, ToDoubleFunction<Inputs>> FORMULAS =
      Map.ofEntries(
          Map.entry(
              "saturation-pressure",
              in -> SaturationPressure.of(new Temperature(in.get("kelvin"))).kilopascals()),
          Map.entry("altitude", in -> AbsolutePressure.atAltitude(in.get("metres")).kilopascals()),
          Map.entry("psi", in -> GaugePressure.of(in.get("value"), PressureUnit.PSI).kilopascals()),
          Map.entry("bar", in -> GaugePressure.of(in.get("value"), PressureUnit.BAR).kilopascals()),
          Map.entry(
              "single-draw-air",
              in ->
                  new Draw(
                          new Volume(in.get("ml")),
                          new GaugePressure(in.get("before")),
                          new GaugePressure(in.get("after")))
                      .trappedAirBefore(in.get("hose"), ATMOSPHERE)),
          Map.entry("two-draws-hose", in -> twoDraws(in).hose()),
          Map.entry("two-draws-air", in -> twoDraws(in).air()),
          Map.entry(
              "two-draws-total",
              in -> twoDraws(in).hose() + twoDraws(in).air() / (in.get("p0") + 101.325)),
          Map.entry("strokes-air-before", in -> strokes(in, 0).air()),
          Map.entry("strokes-hose", in -> strokes(in, 110).hose()),
          Map.entry("strokes-air-at-110", in -> strokes(in, 110).air()),
          Map.entry(
              "strokes-total-at-110",
              in -> strokes(in, 110).hose() + strokes(in, 110).air() / 211.325),
          Map.entry(
              "free-air",
              in ->
                  Strokes.freeAir(
                      in.get("air"),
                      in.get("hose"),
                      new GaugePressure(0),
                      new GaugePressure(in.get("to")),
                      ATMOSPHERE)),
          Map.entry("plan-minutes", in -> plan(in).shortest(in.get("accept")).orElseThrow()),
          Map.entry("plan-detection", in -> plan(in).after(in.get("minutes")).detection()),
          Map.entry("balance-unexplained", in -> balance(in).unexplained()),
          Map.entry("balance-u", in -> balance(in).unexplainedU()),
          Map.entry("balance-critical", in -> balance(in).critical()),
          Map.entry(
              "lost-volume",
              in ->
                  new LostVolume(
                          in.get("air"),
                          in.get("hose"),
                          in.get("liquid"),
                          in.get("expansion"),
                          in.get("p0"),
                          101.325,
                          0,
                          in.get("t0"))
                      .at(in.get("p"), in.get("t"), 0)),
          Map.entry(
              "maker-rule",
              in ->
                  new MakerRule(new GaugePressure(in.get("p")), in.get("minutes"), in.get("drop"))
                      .letsThrough(
                          new AirAndHoses(
                              new Volume(in.get("air")),
                              in.get("hose"),
                              0.06,
                              AirAndHoses.Source.MEASURED),
                          ATMOSPHERE)
                      .millilitresPerMinute()),
          Map.entry(
              "hole",
              in ->
                  EquivalentHole.diameter(
                      new LeakRate(in.get("rate")),
                      new GaugePressure(in.get("p")),
                      in.get("density"))),
          Map.entry(
              "upper-limit",
              in ->
                  new DecisionLimits(in.get("u0"), in.get("r"), in.get("thermal"), DecisionLimits.K)
                      .upper(in.get("q"))),
          Map.entry(
              "detection-limit",
              in ->
                  new DecisionLimits(in.get("u0"), in.get("r"), in.get("thermal"), DecisionLimits.K)
                      .detection()),
          Map.entry(
              "expansion",
              in ->
                  Expansion.ofCoolant(
                      new CoolantMixture(in.get("strength")),
                      Temperature.ofCelsius(in.get("celsius")))),
          Map.entry("viscosity-cold", in -> Viscosity.cold(new CoolantMixture(in.get("strength")))),
          Map.entry("viscosity-hot", in -> Viscosity.hot(new CoolantMixture(in.get("strength")))),
          Map.entry(
              "boiling-point",
              in ->
                  BoilingPoint.of(
                          new CoolantMixture(in.get("strength")),
                          new AbsolutePressure(101.325 + in.get("psi") * 6.894757293168))
                      .celsius()),
          Map.entry(
              "boiling-pressure",
              in ->
                  new CoolantMixture(in.get("strength"))
                      .vapourPressure(Temperature.ofCelsius(in.get("celsius")))
                      .kilopascals()),
          Map.entry(
              "two-sigma-tail",
              in -> DecisionLimits.factorForScatterFrom((int) in.get("freedom"))));

  private static MeasuredCompliance twoDraws(Inputs in) {
    GaugePressure p0 = new GaugePressure(in.get("p0"));
    GaugePressure p1 = new GaugePressure(in.get("p1"));
    return MeasuredCompliance.fromDraws(
        List.of(
            new Draw(new Volume(in.get("ml1")), p0, p1),
            new Draw(new Volume(in.get("ml2")), p1, new GaugePressure(in.get("p2")))),
        Optional.empty(),
        p0,
        ATMOSPHERE,
        0.05);
  }

  private static MeasuredCompliance strokes(Inputs in, double holdStart) {
    List<Strokes.Reading> readings = new ArrayList<>();
    for (int i = 1; i <= 5; i++) {
      readings.add(new Strokes.Reading((int) in.get("n" + i), new GaugePressure(in.get("p" + i))));
    }
    Strokes strokes =
        new Strokes(
            new Volume(in.get("stroke")),
            0,
            new GaugePressure(0),
            Temperature.ofCelsius(20),
            Temperature.ofCelsius(20),
            readings);
    return MeasuredCompliance.fromStrokes(
        strokes, Optional.empty(), new GaugePressure(holdStart), ATMOSPHERE, 0.05);
  }

  /** A reading each minute by a gauge whose steps are part of its noise. */
  private static TestPlan plan(Inputs in) {
    double noise = Math.sqrt(0.1 * 0.1 / 12 + 0.05 * 0.05);
    return new TestPlan(
        new Gauge(1e-9, noise, OptionalDouble.empty(), 0, true),
        1,
        new AirAndHoses(new Volume(in.get("air")), in.get("hose"), 0, AirAndHoses.Source.MEASURED),
        new AbsolutePressure(in.get("p") + 101.325),
        in.get("p"),
        in.get("theta"),
        0,
        in.get("u"),
        Optional.empty());
  }

  private static LeakBalance balance(Inputs in) {
    return LeakBalance.of(
        in.get("rate"),
        in.get("u"),
        List.of(
            new SiteFlow.Drops(in.get("drops1"), Optional.empty()),
            new SiteFlow.Drops(in.get("drops2"), Optional.empty()),
            new SiteFlow.Caught(
                new Volume(in.get("caught")), in.get("minutes"), in.get("cu"), Optional.empty())),
        LeakLaw.SEEP,
        new GaugePressure(110));
  }

  record Inputs(Map<String, Double> values) {
    double get(String name) {
      return Objects.requireNonNull(values.get(name), name);
    }
  }

  record Case(String formula, String inputs, double expected, double tolerance, String rest) {
    @Override
    public String toString() {
      return formula + " (" + inputs + ") = " + expected + " " + rest;
    }
  }

  static Stream<Case> cases() throws IOException {
    return Stream.concat(cases("cases.csv"), cases("outside.csv"));
  }

  private static Stream<Case> cases(String file) throws IOException {
    try (BufferedReader reader =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(
                    ReferenceCasesTests.class.getResourceAsStream("/reference/" + file)),
                StandardCharsets.UTF_8))) {
      return reader
          .lines()
          .filter(l -> !l.startsWith("#"))
          .map(ReferenceCasesTests::parse)
          .toList()
          .stream();
    }
  }

  private static Case parse(String line) {
    String[] f = line.split(";", 5);
    return new Case(
        f[0].strip(),
        f[1].strip(),
        Double.parseDouble(f[2].strip()),
        Double.parseDouble(f[3].strip()),
        f[4].strip());
  }

  @ParameterizedTest
  @MethodSource("cases")
  void reproducesThePrintedValue(Case c) {
    Map<String, Double> inputs = new HashMap<>();
    for (String pair : c.inputs().split(" ")) {
      String[] kv = pair.split("=");
      inputs.put(kv[0], Double.valueOf(kv[1]));
    }
    ToDoubleFunction<Inputs> formula = FORMULAS.get(c.formula());
    assertThat(formula).as("a formula called " + c.formula()).isNotNull();
    Close.to(c.toString(), formula.applyAsDouble(new Inputs(inputs)), c.expected(), c.tolerance());
  }
}
