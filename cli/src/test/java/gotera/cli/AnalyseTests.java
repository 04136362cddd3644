package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Trace;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class AnalyseTests {
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private final ByteArrayOutputStream err = new ByteArrayOutputStream();

  @TempDir Path folder;

  @Test
  void answersForAKnownSeepWithinItsUncertainty() throws IOException {
    Path trace = simulated("seep", 0.61, 1);
    assertThat(run("analyse", trace.toString())).isZero();
    JsonNode result = onlyLine();
    assertThat(result.get("verdict").stringValue()).isEqualTo("leak");
    double rate = result.get("rate_ml_per_min").doubleValue();
    double u = result.get("standard_uncertainty_ml_per_min").doubleValue();
    assertThat(Math.abs(rate - 0.61)).isLessThan(1.96 * u);
    assertThat(u).isLessThan(0.1);
    assertThat(result.get("budget")).isNotEmpty();
    assertThat(result.get("estimator").stringValue()).isEqualTo("creep-5");
    assertThat(result.get("assumed").toString()).contains("atmosphere_kpa");
  }

  @Test
  void showsWhatTheMakersRuleLetsThrough() throws IOException {
    Path trace = folder.resolve("rule.csv");
    Files.writeString(
        trace, "elapsed_s,gauge_kpa\n0,150\n60,149.5\n120,149\n600,147\n", StandardCharsets.UTF_8);
    Files.writeString(
        folder.resolve("rule.hold.json"),
        """
        {"rated_kpa":150,"liquid_ml":8000,
         "compliance":{"trapped_air_ml":300,"hose_ml_per_kpa":0.30,"relative_uncertainty":0.06,"source":"measured"},
         "maker_rule":{"pressure_kpa":150,"minutes":2,"drop_kpa":10}}
        """);
    assertThat(run("analyse", trace.toString())).isZero();
    JsonNode rule = onlyLine().get("maker_rule");
    assertThat(rule.get("met").stringValue()).isEqualTo("yes");
    // as core/src/test/reference/outside.py integrates it
    assertThat(rule.get("lets_through_ml_per_min").doubleValue()).isBetween(7.7155, 7.7165);
  }

  @Test
  void answersInTheOrderGivenAndGoesOnAfterABadFile() throws IOException {
    Path good = simulated("good", 0.2, 2);
    Path bad = folder.resolve("bad.csv");
    Files.writeString(bad, "elapsed_s,gauge_kpa\n0,many\n0,1\n");
    Files.copy(folder.resolve("good.hold.json"), folder.resolve("bad.hold.json"));
    assertThat(run("analyse", bad.toString(), good.toString())).isEqualTo(2);
    assertThat(onlyLine().get("trace").stringValue()).isEqualTo("good.csv");
    assertThat(err.toString(StandardCharsets.UTF_8))
        .contains("bad.csv: line 2, gauge_kpa")
        .contains("line 3, elapsed_s");
  }

  @Test
  void readsFolders() throws IOException {
    simulated("a", 0.2, 3);
    simulated("b", 0.4, 4);
    assertThat(run("analyse", folder.toString())).isZero();
    assertThat(out.toString(StandardCharsets.UTF_8).lines()).hasSize(2);
  }

  @Test
  void saysWhatIsMissing() {
    assertThat(run("analyse", folder.resolve("none.csv").toString())).isEqualTo(2);
    assertThat(err.toString(StandardCharsets.UTF_8)).contains("there is no such file");
    assertThat(run("analyse", folder.toString())).isEqualTo(2);
    assertThat(run("analyse")).isEqualTo(2);
    assertThat(run("dance")).isEqualTo(2);
  }

  /** A simulated hold with its description beside it. */
  private Path simulated(String name, double leak, long seed) throws IOException {
    StandInVehicle vehicle =
        new StandInVehicle(
            new SystemUnderTest(250, 8000, 0.27, 0.03, 90, 4.2e-4, 0.76),
            List.of(Leak.seep(leak, 110)),
            new Instruments(0.1, 0.05, 0.1, 0.05));
    StandInVehicle.Outcome outcome =
        vehicle.run(new Hold(110, 20, 900, 5, 18, -0.01), new Random(seed));
    Trace trace = outcome.trace();
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa,coolant_c,event\n");
    for (int i = 0; i < trace.size(); i++) {
      csv.append(
          String.format(
              Locale.ROOT,
              "%.2f,%.1f,%.1f,%s%n",
              trace.seconds(i),
              trace.gauge(i),
              trace.celsius(i),
              trace.seconds(i) == 20 ? "valve-shut" : ""));
    }
    Path file = folder.resolve(name + ".csv");
    Files.writeString(file, csv);
    Files.writeString(
        folder.resolve(name + ".hold.json"),
        String.format(
            Locale.ROOT,
            """
            {"rated_kpa":110,"liquid_ml":8000,
             "compliance":{"trapped_air_ml":%.1f,"hose_ml_per_kpa":0.29,"relative_uncertainty":0.05,"source":"measured"},
             "gauge":{"resolution_kpa":0.1,"repeatability_kpa":0.05},
             "thermometer":{"resolution_c":0.1,"repeatability_c":0.05},"purpose":"search"}
            """,
            outcome.gasAtHold()));
    return file;
  }

  private int run(String... arguments) {
    out.reset();
    err.reset();
    return Main.run(
        List.of(arguments),
        new PrintStream(out, true, StandardCharsets.UTF_8),
        new PrintStream(err, true, StandardCharsets.UTF_8));
  }

  private JsonNode onlyLine() {
    List<String> lines = out.toString(StandardCharsets.UTF_8).lines().toList();
    assertThat(lines).hasSize(1);
    return JsonMapper.builder().build().readTree(lines.get(0));
  }
}
