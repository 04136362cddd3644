package gotera.web.archive;

import gotera.formats.records.RecordsFormat;
import gotera.formats.records.Upgrade;
import gotera.web.archive.JobTables.Table;
import gotera.web.archive.Joining.Clash;
import gotera.web.job.JobChanges;
import gotera.web.storage.Write;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Puts the rows of a job in place, all of them or none. */
@Component
class JobRestore {
  private static final String HISTORY = "_history";

  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  /** Most rows of a table (our judgement). */
  private static final int MOST_ROWS = 200_000;

  private final JdbcTemplate database;
  private final RowContents contents;
  private final JobChanges changes;

  JobRestore(JdbcTemplate database, RowContents contents, JobChanges changes) {
    this.database = database;
    this.contents = contents;
    this.changes = changes;
  }

  /** A file cannot be taken, and why. */
  static final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String why;

    Refused(String why) {
      super(why);
      this.why = why;
    }

    String why() {
      return why;
    }
  }

  /** Names of a file that are known here, of something else. */
  List<Clash> clashes(byte[] records) {
    JsonNode tables = parsed(records).path("tables");
    List<Clash> clashes = new ArrayList<>();
    for (String table : Joining.NAMED) {
      for (JsonNode row : tables.path(table)) {
        String id = row.path("id").asString("");
        String name = row.path("name").asString("");
        database
            .queryForList(
                "select id from " + table + " where name = ? and id <> ?", String.class, name, id)
            .forEach(here -> clashes.add(new Clash(table, id, name, here)));
      }
    }
    return clashes;
  }

  /** Whether what is named here has this name already. */
  boolean isNamed(String table, String name) {
    return Joining.NAMED.contains(table) && count(table, "name", name) > 0;
  }

  /** Whether a job is here already. */
  boolean isHere(byte[] records) {
    return count("job", "id", identifier(parsed(records).path("job").asString("")).toString()) > 0;
  }

  /**
   * Puts a job in place.
   *
   * @param records its rows
   * @param joining how names come in that are known here
   * @param files the files they name
   * @throws Refused where anything does not fit; nothing is kept then
   */
  @Write
  public UUID put(byte[] records, Joining joining, Map<String, byte[]> files) {
    JsonNode root = parsed(records);
    UUID job = identifier(root.path("job").asString(""));
    if (count("job", "id", job.toString()) > 0) {
      throw new Refused("this job is here already");
    }
    JsonNode tables = root.path("tables");
    joining.apply((ObjectNode) tables);
    hasItsCircuit((ObjectNode) tables, joining);
    Map<Integer, Long> revisions = revisions(root.path("revisions"));
    Set<String> here = here(tables);
    Map<String, Set<String>> ids = ids(tables);
    ids.put("here already", joining.here());
    for (Table table : JobTables.ALL) {
      JsonNode rows = tables.path(table.name());
      if (rows.size() > MOST_ROWS) {
        throw new Refused(table.name() + ": more rows than can be taken");
      }
      Set<String> columns = columns(table.name());
      int number = 1;
      for (JsonNode row : rows) {
        insert(new Target(table, columns, job, here, ids, revisions), row, number++, files);
      }
    }
    if (count("job", "id", job.toString()) != 1) {
      throw new Refused("it does not hold the job it names");
    }
    changes.countShared();
    return job;
  }

  /** A vehicle that is here already keeps the circuit it has here. */
  private void hasItsCircuit(ObjectNode tables, Joining joining) {
    Joining.keep(
        tables,
        "vehicle_circuit",
        row -> {
          String vehicle = row.path("vehicle_id").asString("");
          return !joining.here().contains(vehicle)
              || count("vehicle_circuit", "vehicle_id", vehicle) == 0;
        });
  }

  /** Where rows go. */
  private record Target(
      Table table,
      Set<String> columns,
      UUID job,
      Set<String> here,
      Map<String, Set<String>> ids,
      Map<Integer, Long> revisions) {}

  private static JsonNode parsed(byte[] records) {
    try {
      JsonNode root = MAPPER.readTree(records);
      JsonNode latest =
          Upgrade.toLatest(root)
              .orElseThrow(() -> new Refused("its records are of another format"));
      // what comes in passes the same checks as what is typed, before anything is asked or kept
      RecordsFormat.wrong(latest.path("tables"))
          .ifPresent(
              w -> {
                throw new Refused(w);
              });
      return latest;
    } catch (JacksonException e) {
      throw new Refused("its records cannot be read");
    }
  }

  private static UUID identifier(String text) {
    try {
      return UUID.fromString(text);
    } catch (IllegalArgumentException e) {
      throw new Refused("it names no job");
    }
  }

  private int count(String table, String column, String value) {
    Integer found =
        database.queryForObject(
            "select count(*) from " + table + " where " + column + " = ?", Integer.class, value);
    return found == null ? 0 : found;
  }

  private Set<String> columns(String table) {
    return new HashSet<>(
        database.queryForList(
            "select column_name from information_schema.columns"
                + " where table_schema = database() and table_name = ?",
            String.class,
            table));
  }

  private Map<Integer, Long> revisions(JsonNode list) {
    Map<Integer, Long> numbers = new HashMap<>();
    int number = 1;
    for (JsonNode r : list) {
      try {
        database.update(
            "insert into revision (made_at, made_by) values (?, ?)",
            r.path("made_at").asString(""),
            r.path("made_by").asString(""));
      } catch (DataAccessException e) {
        throw new Refused("revision " + number + " does not fit");
      }
      numbers.put(number++, database.queryForObject("select last_insert_id()", Long.class));
    }
    return numbers;
  }

  private void insert(Target target, JsonNode row, int number, Map<String, byte[]> files) {
    String table = target.table().name();
    if (target.table().shared() && wasHere(target, row)) {
      return;
    }
    if (row.has("job_id") && !row.path("job_id").asString("").equals(target.job().toString())) {
      throw new Refused(table + ", row " + number + ": it belongs to another job");
    }
    refersWithin(target, row, number);
    for (Map.Entry<String, JsonNode> member : row.properties()) {
      if (!target.columns().contains(member.getKey())) {
        throw new Refused(table + ", row " + number + ": there is no column " + member.getKey());
      }
    }
    Map<String, @Nullable Object> values =
        contents.of(new RowContents.Row(table, number, row), target.revisions(), files);
    List<@Nullable Object> parameters = new ArrayList<>(values.values());
    try {
      database.update(
          "insert into "
              + table
              + " ("
              + String.join(", ", values.keySet())
              + ") values ("
              + String.join(", ", values.keySet().stream().map(c -> "?").toList())
              + ")",
          parameters.toArray());
    } catch (DataAccessException e) {
      throw new Refused(table + ", row " + number + ": it does not fit what is here");
    }
  }

  /** Identifiers of all rows of a file, by table. */
  private static Map<String, Set<String>> ids(JsonNode tables) {
    Map<String, Set<String>> ids = new HashMap<>();
    for (Table table : JobTables.ALL) {
      Set<String> of = new HashSet<>();
      tables.path(table.name()).forEach(row -> of.add(row.path("id").asString("")));
      ids.put(table.name(), of);
    }
    return ids;
  }

  /** A row belongs to the job of the file and refers to nothing that is not in the file. */
  private static void refersWithin(Target target, JsonNode row, int number) {
    String table = target.table().name();
    String at = table + ", row " + number + ": ";
    String id = row.path("id").asString("");
    if (table.equals("job") && !id.equals(target.job().toString())) {
      throw new Refused(at + "it is another job");
    }
    if (table.endsWith(HISTORY)
        && !target.ids().getOrDefault(table.replace(HISTORY, ""), Set.of()).contains(id)) {
      throw new Refused(at + "it is the history of what is not in the file");
    }
    for (Map.Entry<String, JsonNode> member : row.properties()) {
      boolean refers = member.getKey().endsWith("_id") && !member.getKey().equals("entry_id");
      String to = member.getValue().isNull() ? "" : member.getValue().asString("");
      if (refers
          && !to.isEmpty()
          && target.ids().values().stream().noneMatch(i -> i.contains(to))) {
        throw new Refused(at + "it refers to what is not in the file");
      }
    }
  }

  /** Whether what several jobs share was here before: a vehicle, an engine type, and theirs. */
  private boolean wasHere(Target target, JsonNode row) {
    String table = target.table().name();
    String id = row.path("id").asString("");
    return switch (table) {
      case "lesson", "circuit_edit" -> count(table, "id", id) > 0;
      case "vehicle_circuit" -> target.here().contains(row.path("vehicle_id").asString(""));
      default -> target.here().contains(id);
    };
  }

  private Set<String> here(JsonNode tables) {
    Set<String> here = new HashSet<>();
    for (String table : List.of("vehicle", "engine_type")) {
      for (JsonNode row : tables.path(table)) {
        String id = row.path("id").asString("");
        if (count(table, "id", id) > 0) {
          here.add(id);
        }
      }
    }
    return here;
  }
}
