package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitEdit;
import gotera.circuit.Fastening;
import gotera.formats.records.Member;
import gotera.formats.records.RecordsFormat;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Told;
import gotera.suspects.WhereLost;
import gotera.timing.Wait;
import gotera.web.job.Ending;
import gotera.web.pressure.Phase;
import gotera.word.Worded;
import gotera.work.Step;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** The format of records holds all that the database keeps of a job, and every word of it. */
@ExtendWith(Application.class)
class RecordsTests {
  /** Worked out by the database itself. */
  private static final List<String> WORKED_OUT = List.of("vehicle.name_words", "job.ended_at");

  @Test
  void everyColumnOfAJobIsAMemberOfTheFormat(Application.Running application) {
    Map<String, TreeSet<String>> columns =
        application
            .bean(JdbcTemplate.class)
            .queryForList(
                "select table_name as t, column_name as c from information_schema.columns"
                    + " where table_schema = database()")
            .stream()
            .filter(r -> RecordsFormat.tables().contains(r.get("t").toString()))
            .filter(r -> !WORKED_OUT.contains(r.get("t") + "." + r.get("c")))
            .collect(
                Collectors.groupingBy(
                    r -> r.get("t").toString(),
                    Collectors.mapping(
                        r -> r.get("c").toString(), Collectors.toCollection(TreeSet::new))));
    assertThat(columns).isNotEmpty();
    columns.forEach(
        (table, names) -> {
          TreeSet<String> members = new TreeSet<>();
          RecordsFormat.members(table).forEach(m -> members.add(m.name()));
          if (table.endsWith("_history")) {
            assertThat(members).as(table).containsAll(names);
          } else {
            assertThat(members).as(table).isEqualTo(names);
          }
        });
  }

  @Test
  void everyWordThatIsWrittenMayBeRead() {
    Map<String, List<String>> words =
        Map.ofEntries(
            Map.entry("job.where_lost", Worded.words(WhereLost.class)),
            Map.entry("job.ground", Worded.words(Told.Surface.class)),
            Map.entry("job.trips", Worded.words(Told.Length.class)),
            Map.entry("skipped_step.step", Worded.words(Step.class)),
            Map.entry("work_entry.step", Worded.words(Step.class)),
            Map.entry("job.ending", Worded.words(Ending.class)),
            Map.entry("job_wait.kind", Worded.words(Wait.Kind.class)),
            Map.entry("leak_site.saw", Worded.words(Sight.class)),
            Map.entry("leak_site.state", Worded.words(LookState.class)),
            Map.entry("trace_event.kind", Worded.words(TraceEvent.Kind.class)),
            Map.entry("verdict.kind", Worded.words(VerdictKind.class)),
            Map.entry("pressure_test.phase", Worded.words(Phase.class)),
            Map.entry("circuit_edit.fastening", Worded.words(Fastening.class)),
            Map.entry("circuit_edit.spot", Worded.words(CircuitEdit.Spot.class)));
    words.forEach(
        (place, all) -> {
          Member member =
              RecordsFormat.member(place.split("\\.")[0], place.split("\\.")[1]).orElseThrow();
          assertThat(List.of(member.of().split("\\|"))).as(place).containsAll(all);
        });
  }
}
