package gotera.formats.records;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.FormatProblem;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class RecordsFormatTests {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  /** What no form writes, whatever is asked. */
  private static final List<String> HOSTILE =
      List.of(
          "1e308",
          "-1e308",
          "\"\\u0000\"",
          "\"0001-01-01 00:00:00\"",
          "\"9999-12-31 00:00:00\"",
          "[]",
          "{}",
          "\"<script>\\u001b</script>\"",
          "1.5",
          "-1",
          "9007199254740993",
          "true");

  private static Stream<Member> members() {
    return RecordsFormat.tables().stream().flatMap(t -> RecordsFormat.members(t).stream());
  }

  /** A row that holds what it may. */
  private static ObjectNode row(String table) {
    ObjectNode row = MAPPER.createObjectNode();
    for (Member m : RecordsFormat.members(table)) {
      if (m.needed()) {
        row.set(m.name(), usual(m));
      }
    }
    return row;
  }

  private static JsonNode usual(Member m) {
    String json =
        switch (m.kind()) {
          case ID, OF -> "\"01a00000-0000-7000-8000-000000000001\"";
          case WORD -> "\"" + m.words().get(0) + "\"";
          case TEXT -> "\"\"";
          case NUMBER -> Double.toString(m.high());
          case WHOLE -> Long.toString((long) m.low());
          case YES_NO -> "1";
          case MOMENT -> "\"2026-12-01 07:30:00.123456\"";
          case DAY -> "\"2026-12-01\"";
          case HASH -> "\"" + "0a".repeat(32) + "\"";
          case BYTES -> "\"AAAA\"";
          case FILE -> "\"photographs/x.jpg\"";
        };
    return MAPPER.readTree(json);
  }

  @Test
  void aRowThatHoldsWhatItMayIsTaken() {
    for (String table : RecordsFormat.tables()) {
      assertThat(RecordsFormat.problems(table, 1, row(table))).as(table).isEmpty();
    }
  }

  @ParameterizedTest
  @MethodSource("members")
  void whatNoFormWritesIsToldAtItsPlace(Member member) {
    String table = member.table().isEmpty() ? "cap_history" : member.table();
    for (String hostile : HOSTILE) {
      ObjectNode row = row(table);
      JsonNode value = MAPPER.readTree(hostile);
      row.set(member.name(), value);
      List<FormatProblem> problems = RecordsFormat.problems(table, 7, row);
      if (harmless(member, value)) {
        continue;
      }
      assertThat(problems).as(member + " " + hostile).isNotEmpty();
      assertThat(problems.get(0).place()).isEqualTo(table + " 7, " + member.name());
    }
  }

  /** Some of it is what a member may hold: any text in a text, a number in its range. */
  private static boolean harmless(Member m, JsonNode value) {
    boolean text = value.isString() && !value.asString().matches("(?s).*\\p{Cc}.*");
    return switch (m.kind()) {
      case TEXT, FILE -> text || m.kind() == Member.Kind.FILE && value.isString();
      case NUMBER ->
          value.isNumber() && value.asDouble() >= m.low() && value.asDouble() <= m.high();
      case WHOLE ->
          value.isIntegralNumber() && value.asLong() >= m.low() && value.asLong() <= m.high();
      case YES_NO -> value.isBoolean();
      case ID, OF, WORD, MOMENT, DAY, HASH, BYTES -> false;
    };
  }

  @ParameterizedTest
  @MethodSource("members")
  void whatIsNeededIsMissed(Member member) {
    String table = member.table().isEmpty() ? "cap_history" : member.table();
    ObjectNode row = row(table);
    row.remove(member.name());
    assertThat(RecordsFormat.problems(table, 1, row).isEmpty()).isEqualTo(!member.needed());
  }

  @Test
  void whatIsNotInTheFormatIsNotTaken() {
    ObjectNode row = row("cap");
    row.put("x = 1 where 1=1; --", 1);
    assertThat(RecordsFormat.problems("cap", 1, row).get(0).sentence()).endsWith("no such member");
    assertThat(RecordsFormat.problems("account", 1, row)).hasSize(1);
  }

  @Test
  void membersFitTogether() {
    ObjectNode wait = row("job_wait");
    wait.put("begun_at", "2026-12-01 07:30:00").put("due_at", "2026-12-01T07:29:59");
    assertThat(RecordsFormat.problems("job_wait", 3, wait).get(0).sentence())
        .isEqualTo(
            "job_wait 3, due_at: found “2026-12-01 07:29:59”, expected a moment not before begun_at");
    ObjectNode job = row("job");
    job.put("closed_at", "2027-01-01 00:00:00");
    assertThat(RecordsFormat.problems("job", 1, job).get(0).place()).isEqualTo("job 1, ending");
    job.put("ending", "proven");
    assertThat(RecordsFormat.problems("job", 1, job)).isEmpty();
  }

  /** Version 1 had what the database had on its day: what was added since was not asked. */
  @Test
  void anEarlierVersionIsRead() {
    ObjectNode first = MAPPER.createObjectNode().put("format", "gotera-records/1");
    ObjectNode strip = row("strip_line");
    strip.remove("needless");
    first.putObject("tables").putArray("strip_line").add(strip);
    JsonNode latest = Upgrade.toLatest(first).orElseThrow();
    assertThat(latest.path("format").asString()).isEqualTo("gotera-records/2");
    assertThat(
            RecordsFormat.problems(
                "strip_line", 1, latest.path("tables").path("strip_line").get(0)))
        .isEmpty();
    assertThat(Upgrade.toLatest(MAPPER.createObjectNode().put("format", "gotera-records/3")))
        .isEmpty();
  }

  @Test
  void everyMemberSaysWhatItExpects() {
    members()
        .forEach(
            m ->
                assertThat(m.expected())
                    .as(m.toString())
                    .isNotBlank()
                    .isEqualTo(m.expected().toLowerCase(Locale.ROOT).replace("utc", "UTC")));
  }
}
