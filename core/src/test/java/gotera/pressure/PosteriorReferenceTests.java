package gotera.pressure;

import gotera.coolant.CoolantMixture;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The estimator against the same posterior reckoned by another program in another way: see {@code
 * core/src/test/reference/posteriors.py}.
 */
class PosteriorReferenceTests {

  static Stream<String> cases() throws IOException {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(
                    PosteriorReferenceTests.class.getResourceAsStream("/reference/posteriors.csv")),
                StandardCharsets.UTF_8))) {
      return lines.lines().filter(l -> !l.startsWith("#")).toList().stream();
    }
  }

  @ParameterizedTest
  @MethodSource("cases")
  void agreesOnMeanDeviationAndLaw(String line) {
    String[] parts = line.split("; ");
    Trace.Builder builder = Trace.builder();
    String[] seconds = parts[8].split(" ");
    String[] gauge = parts[9].split(" ");
    for (int i = 0; i < seconds.length; i++) {
      builder.reading(Double.parseDouble(seconds[i]), Double.parseDouble(gauge[i]));
    }
    Trace trace = builder.build();
    HoldConditions conditions =
        Holds.edited(
            Holds.conditions(1, 1),
            e -> {
              e.airAndHoses =
                  new AirAndHoses(
                      new Volume(number(parts[1])),
                      number(parts[2]),
                      0.05,
                      AirAndHoses.Source.MEASURED);
              e.gauge =
                  new Gauge(number(parts[3]), number(parts[4]), OptionalDouble.empty(), 0, true);
              e.coolant = new CoolantMixture(0);
              e.pumpedUntil = 0;
            });
    RateEstimate estimate =
        RateEstimator.estimate(
            trace,
            conditions,
            new TemperatureTrack(0, new double[] {20}, 0, 0, false, 20),
            SlowCreep.of(0, trace.gauge(0)));
    double mean = number(parts[5]);
    double sd = number(parts[6]);
    Close.to(parts[0] + ": mean (mL/min)", estimate.rate(), mean, 0.02 * sd);
    Close.to(parts[0] + ": sd (mL/min)", estimate.fitU(), sd, 0.01 * sd);
    double seep =
        estimate.laws().stream()
            .filter(w -> w.law() == LeakLaw.SEEP)
            .findFirst()
            .orElseThrow()
            .probability();
    Close.to(parts[0] + ": weight of the seep", seep, number(parts[7]), 0.003);
  }

  private static double number(String text) {
    return Double.parseDouble(text);
  }
}
