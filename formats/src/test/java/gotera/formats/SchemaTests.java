package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import gotera.circuit.DripSpot;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.pressure.verdict.VerdictKind;
import gotera.range.Range;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import gotera.word.Worded;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The published schemas say what the readers do, checked with somebody else's validator. */
class SchemaTests {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final SchemaRegistry REGISTRY =
      SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
  private static final Schema HOLD = REGISTRY.getSchema(Schemas.hold());
  private static final Schema JOB = REGISTRY.getSchema(Schemas.job());

  static Stream<Random> generators() {
    return Seeds.of(300);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void everyDescriptionThatIsReadFitsAndSoDoesWhatIsWrittenOfIt(Random random) {
    String json = RobustnessTests.description(random);
    if (HoldJson.read(json) instanceof ReadOutcome.Accepted<?> accepted) {
      if (!json.contains("null")) {
        assertThat(problems(HOLD, json)).as(json).isEmpty();
      }
      String written = HoldJson.write((gotera.pressure.setup.HoldSetup) accepted.value());
      assertThat(problems(HOLD, written)).as(written).isEmpty();
    }
  }

  @Test
  void enoughOfTheRandomDescriptionsAreRead() {
    long read =
        generators()
            .map(RobustnessTests::description)
            .filter(json -> HoldJson.read(json) instanceof ReadOutcome.Accepted)
            .count();
    assertThat(read).as("of 300").isGreaterThan(30);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void everyJobThatIsWrittenFits(Random random) {
    String json = JobWriter.write(JobJsonTests.any(random));
    assertThat(problems(JOB, json)).as(json).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "[]",
        "{}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000}",
        "{\"rated_kpa\":1e300,\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":1}}",
        "{\"rated_kpa\":\"110\",\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":1}}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{}}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"trapped_air\":1}}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":-1}}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"draws\":[{\"ml\":20}]}}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":1},\"soak\":-1}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":1},\"medium\":\"oil\"}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":1},\"window_s\":[1]}",
        "{\"rated_kpa\":110,\"liquid_ml\":8000,\"compliance\":{\"trapped_air_ml\":1},\"<script>\":1}"
      })
  void aHostileDescriptionIsRefusedByBoth(String json) {
    assertThat(HoldJson.read(json)).isInstanceOf(ReadOutcome.Rejected.class);
    assertThat(problems(HOLD, json)).isNotEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "[]",
        "{\"format\":\"gotera-job/2\"}",
        "{\"findings\":{}}",
        "{\"findings\":[{\"check\":\"guess\"}]}",
        "{\"findings\":[{\"check\":\"look\",\"saw\":\"dry\"}]}",
        "{\"findings\":[{\"check\":\"look\",\"at\":\"cap.neck\",\"saw\":\"damp\"}]}",
        "{\"findings\":[{\"check\":\"drip\",\"at\":\"under the seat\"}]}",
        "{\"findings\":[{\"check\":\"pressure-test\",\"rate_ml_per_min\":1e9,\"u\":0.1}]}",
        "{\"findings\":[{\"check\":\"repair\",\"where\":\"cap.neck\"}]}",
        "{\"vehicle\":{\"energy\":\"steam\"}}",
        "{\"vehicle\":{\"circuit\":{\"features\":[\"wings\"]}}}",
        "{\"complaint\":{\"loss_ml_per_week\":-5}}"
      })
  void aHostileJobIsRefusedByBoth(String json) {
    assertThat(JobJson.read(json)).isInstanceOf(ReadOutcome.Rejected.class);
    assertThat(problems(JOB, json)).isNotEmpty();
  }

  /** Each range in a schema names the one of the core it repeats. */
  @ParameterizedTest
  @ValueSource(strings = {"hold", "job"})
  void rangesAreThoseOfTheCore(String format) {
    JsonNode schema = MAPPER.readTree(format.equals("hold") ? Schemas.hold() : Schemas.job());
    List<JsonNode> named =
        schema.findParents("$comment").stream().filter(n -> n.has("minimum")).toList();
    assertThat(named).hasSizeGreaterThan(10);
    for (JsonNode n : named) {
      Range range = Range.valueOf(n.get("$comment").stringValue());
      Close.to(range + " low", n.get("minimum").doubleValue(), range.low(), 0);
      Close.to(range + " high", n.get("maximum").doubleValue(), range.high(), 0);
    }
  }

  @Test
  void wordsAreThoseOfTheCore() {
    JsonNode job = MAPPER.readTree(Schemas.job()).get("properties");
    JsonNode circuit = job.get("vehicle").get("properties").get("circuit").get("properties");
    assertThat(words(circuit.get("fill"))).isEqualTo(Worded.words(Features.Fill.class));
    assertThat(words(circuit.get("features").get("items")))
        .isEqualTo(Worded.words(Features.Extra.class));
    JsonNode findings = job.get("findings").get("items").get("oneOf");
    assertThat(words(finding(findings, "look").get("state")))
        .isEqualTo(Worded.words(LookState.class));
    assertThat(words(finding(findings, "drip").get("at"))).isEqualTo(Worded.words(DripSpot.class));
    assertThat(words(finding(findings, "dye").get("saw"))).isEqualTo(Worded.words(Glow.class));
    assertThat(words(finding(findings, "pressure-test").get("verdict")))
        .isEqualTo(Worded.words(VerdictKind.class));
    JsonNode edits = job.get("vehicle").get("properties").get("edits").get("items");
    assertThat(words(edits.get("properties").get("fastening")))
        .isEqualTo(Worded.words(Fastening.class));
  }

  /** The members of a finding of a check. */
  private static JsonNode finding(JsonNode findings, String check) {
    for (JsonNode finding : findings) {
      JsonNode members = finding.get("properties");
      if (members.get("check").get("const").stringValue().equals(check)) {
        return members;
      }
    }
    throw new AssertionError("no finding of " + check);
  }

  private static List<String> words(JsonNode property) {
    return property.get("enum").valueStream().map(JsonNode::stringValue).toList();
  }

  private static List<String> problems(Schema schema, String json) {
    return schema.validate(json, InputFormat.JSON).stream().map(Object::toString).toList();
  }
}
