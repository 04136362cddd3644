package gotera.web.archive;

import gotera.web.archive.JobTables.Table;
import java.sql.Types;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The rows of a job as JSON: numbers as numbers, bytes in base 64 or as files of their own, moments
 * and the rest as text. Revisions are numbered anew from 1, for each installation counts its own.
 */
@Component
class Records {
  static final String FORMAT = "gotera-records/2";

  /** Columns whose bytes are files of their own, and where. */
  static final Map<String, String> FILES =
      Map.of("photo.jpeg", "photographs/%s.jpg", "voice.sound", "voices/%s.bin");

  static final String REVISION = "revision";

  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private final JdbcTemplate database;

  Records(JdbcTemplate database) {
    this.database = database;
  }

  /** The rows as JSON; what is a file of its own is put into {@code files}. */
  String of(UUID jobId, Map<String, byte[]> files) {
    ObjectNode out = MAPPER.createObjectNode();
    out.put("format", FORMAT).put("job", jobId.toString());
    ArrayNode revisions = out.putArray("revisions");
    Map<Long, Integer> numbers = revisions(jobId, revisions);
    ObjectNode tables = out.putObject("tables");
    for (Table table : JobTables.ALL) {
      ArrayNode rows = tables.putArray(table.name());
      database.query(
          "select * from " + table.name() + " where " + table.where() + order(table.name()),
          row -> {
            ObjectNode n = rows.addObject();
            int columns = row.getMetaData().getColumnCount();
            for (int i = 1; i <= columns; i++) {
              String column = row.getMetaData().getColumnLabel(i);
              if (row.getObject(i) == null) {
                n.putNull(column);
              } else if (column.equals(REVISION)) {
                n.put(column, numbers.get(row.getLong(i)));
              } else {
                put(n, table.name(), column, row.getMetaData().getColumnType(i), i, row, files);
              }
            }
          },
          parameters(table, jobId));
    }
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(out);
  }

  private static Object[] parameters(Table table, UUID jobId) {
    String id = jobId.toString();
    return table.where().chars().filter(c -> c == '?').mapToObj(c -> id).toArray();
  }

  private String order(String table) {
    List<String> key =
        database.queryForList(
            "select column_name from information_schema.key_column_usage where table_schema ="
                + " database() and table_name = ? and constraint_name = 'PRIMARY'"
                + " order by ordinal_position",
            String.class,
            table);
    return key.isEmpty() ? "" : " order by " + String.join(", ", key);
  }

  /** Every revision that a row of the job belongs to, in order, with its new number. */
  private Map<Long, Integer> revisions(UUID jobId, ArrayNode into) {
    List<Long> found = new ArrayList<>();
    for (Table table : JobTables.ALL) {
      if (table.name().endsWith("_history")) {
        found.addAll(
            database.queryForList(
                "select revision from " + table.name() + " where " + table.where(),
                Long.class,
                parameters(table, jobId)));
      }
    }
    Map<Long, Integer> numbers = new LinkedHashMap<>();
    found.stream().distinct().sorted().forEach(r -> numbers.put(r, numbers.size() + 1));
    numbers.forEach(
        (id, number) ->
            database.query(
                "select made_at, made_by from revision where id = ?",
                row -> {
                  into.addObject()
                      .put("made_at", row.getString(1))
                      .put("made_by", row.getString(2));
                },
                id));
    return numbers;
  }

  private static void put(
      ObjectNode n,
      String table,
      String column,
      int type,
      int i,
      java.sql.ResultSet row,
      Map<String, byte[]> files)
      throws java.sql.SQLException {
    switch (type) {
      case Types.DOUBLE, Types.FLOAT, Types.REAL -> n.put(column, row.getDouble(i));
      case Types.INTEGER, Types.BIGINT, Types.SMALLINT, Types.TINYINT, Types.BIT, Types.BOOLEAN ->
          n.put(column, row.getLong(i));
      case Types.BLOB, Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY -> {
        String file = FILES.get(table + "." + column);
        if (file == null) {
          n.put(column, Base64.getEncoder().encodeToString(row.getBytes(i)));
        } else {
          String name = file.formatted(row.getString("id"));
          files.put(name, row.getBytes(i));
          n.put(column, name);
        }
      }
      default -> n.put(column, row.getString(i));
    }
  }
}
