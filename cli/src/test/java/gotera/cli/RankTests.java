package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitBuilder;
import gotera.circuit.Features;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class RankTests {
  private static final String TWO_LOOKS =
      """
        {"check":"look","at":"lower-hose.radiator-end","state":"cold-pressure","saw":"dry"},
        {"check":"look","at":"radiator.core","state":"cold-pressure","saw":"dry"},\
      """;

  private static final String DRY_OUTSIDE =
      """
      {"format":"gotera-job/1",
       "vehicle":{"energy":"petrol","kilometres":90000,"circuit":{"fill":"both","engine":"inline","lie":"along"}},
       "complaint":{"loss_ml_per_week":1900,"hot_hours_per_week":7,"signs":["never-on-the-ground"],
                    "history":[{"part":"radiator","replaced_days_ago":200}]},
       "findings":[
      %s
        {"check":"combustion-gas","result":"blue","not_counted":["coolant-drawn-in"]},
        {"check":"pressure-test","state":"cold","rate_ml_per_min":0.8,"u":0.1}]}
      """
          .formatted(TWO_LOOKS);

  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private final ByteArrayOutputStream err = new ByteArrayOutputStream();

  @TempDir Path folder;

  @Test
  void ranksTheInsideFirstWhereTheOutsideIsDry() throws IOException {
    assertThat(run("rank", file(DRY_OUTSIDE.replace(TWO_LOOKS, everywhereDry())))).isZero();
    JsonNode line = JsonMapper.builder().build().readTree(text(out));
    assertThat(line.get("suspects").get(0).get("joint").stringValue()).startsWith("inside.");
    assertThat(line.get("suspects").get(0).get("reasons")).isNotEmpty();
    assertThat(line.get("balance").get("unexplained_ml_per_min").doubleValue()).isEqualTo(0.8);
    assertThat(line.get("next").get(0).get("bits").doubleValue()).isPositive();
    assertThat(line.get("flags").toString())
        .contains("falls-and-dry-outside", "combustion-gas-does-not-count")
        .doesNotContain("gas-check-first");
  }

  private static String everywhereDry() {
    return CircuitBuilder.of(
            Features.of(
                Features.Drive.PETROL,
                Features.Fill.BOTH,
                Features.Engine.INLINE,
                Features.Orientation.ALONG))
        .joints()
        .stream()
        .map(
            j ->
                TWO_LOOKS
                    .lines()
                    .findFirst()
                    .orElseThrow()
                    .replace("lower-hose.radiator-end", j.code()))
        .collect(Collectors.joining("\n"));
  }

  @Test
  void asksForGasFirstWhereTheSamePartIsUnderSuspicionAgain() throws IOException {
    run("rank", file(DRY_OUTSIDE.replace(TWO_LOOKS, "")));
    assertThat(text(out)).contains("gas-check-first:radiator");
  }

  @Test
  void aGasCheckThatDoesNotCountChangesNothing() throws IOException {
    run("rank", file(DRY_OUTSIDE));
    String with = text(out).replaceAll("\"next.*", "");
    out.reset();
    String without = DRY_OUTSIDE.replaceAll("(?m)^.*combustion-gas.*$\\R", "");
    run("rank", file(without));
    assertThat(text(out).replaceAll("\"next.*", "")).isEqualTo(with);
  }

  @Test
  void anElectricDriveHasNothingInsideThatBurns() throws IOException {
    run("rank", file(DRY_OUTSIDE.replace("petrol", "electric")));
    assertThat(text(out)).doesNotContain("\"joint\":\"inside.");
  }

  @Test
  void aWetGearboxBelowTheOutletNeckLeadsUpToIt() throws IOException {
    String job =
        """
        {"format":"gotera-job/1",
         "vehicle":{"energy":"petrol","circuit":{"fill":"tank","engine":"v","lie":"across",
                    "features":["outlet-over-gearbox"]}},
         "findings":[
          {"check":"drip","at":"gearbox","state":"parked"},
          {"check":"look","at":"outlet-neck.o-ring","state":"parked","saw":"stained"},
          {"check":"dye","at":"temperature-sensor.seal","saw":"dark"},
          {"check":"dye","at":"tank.seam","saw":"unchanged"}]}
        """;
    assertThat(run("rank", file(job))).isZero();
    JsonNode line = JsonMapper.builder().build().readTree(text(out));
    assertThat(line.get("suspects").get(0).get("joint").stringValue())
        .isEqualTo("outlet-neck.o-ring");
    assertThat(line.get("suspects").get(0).get("reasons").toString()).contains("drip:gearbox");
    assertThat(text(out)).doesNotContain("glow:tank.seam");
    assertThat(run("rank", file(job.replace("outlet-over-gearbox", "outlet-over-gearbocks"))))
        .isEqualTo(2);
    assertThat(text(err)).contains("nearest: outlet-over-gearbox");
  }

  @Test
  void refusesANameItDoesNotKnowWithTheNearest() throws IOException {
    String wrong = DRY_OUTSIDE.replace("radiator.core", "radiator.cores");
    assertThat(run("rank", file(wrong))).isEqualTo(2);
    assertThat(text(err)).contains("findings[1].at").contains("radiator.core");
    assertThat(text(out)).isEmpty();
  }

  @Test
  void whatIsAskedWronglyIsAnsweredWithHowToAsk() {
    assertThat(run("rank")).isEqualTo(2);
    assertThat(text(err)).contains("Missing required parameter").contains("JOB.json");
    err.reset();
    assertThat(run("rankk", "job.json")).isEqualTo(2);
    assertThat(text(err)).contains("Did you mean").contains("rank");
    err.reset();
    assertThat(run("monte-carlo", "0")).isEqualTo(2);
    assertThat(text(err)).contains("whole numbers from 1");
    err.reset();
    assertThat(run("monte-carlo", "many")).isEqualTo(2);
    assertThat(text(err)).contains("'many' is not an int");
    assertThat(run("--help")).isZero();
    assertThat(text(out)).contains("analyse").contains("vocabulary");
  }

  @Test
  void printsTheSchemas() {
    assertThat(run("schema", "hold")).isZero();
    assertThat(text(out)).contains("urn:gotera:hold:1");
    out.reset();
    assertThat(run("schema", "job")).isZero();
    assertThat(text(out)).contains("urn:gotera:job:1");
    assertThat(run("schema", "photo")).isEqualTo(2);
  }

  @Test
  void printsEveryNameWithItsStatus() {
    assertThat(run("vocabulary")).isZero();
    assertThat(text(out).lines())
        .hasSizeGreaterThan(35)
        .allMatch(
            l -> l.contains("our judgement, untested") || l.contains("common practice, no source"));
    assertThat(text(out)).contains("core-plug").contains("freeze plug").contains("\"rear-heater\"");
  }

  private String file(String json) throws IOException {
    Path file = folder.resolve("job.json");
    Files.writeString(file, json);
    return file.toString();
  }

  private int run(String... arguments) {
    return Main.run(
        List.of(arguments),
        new PrintStream(out, true, StandardCharsets.UTF_8),
        new PrintStream(err, true, StandardCharsets.UTF_8));
  }

  private static String text(ByteArrayOutputStream bytes) {
    return bytes.toString(StandardCharsets.UTF_8);
  }
}
