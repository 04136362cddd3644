package gotera.web.archive;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How vehicles and engine types of a file whose names are known here come in: as what is here
 * already, or beside it under another name.
 *
 * @param same identifiers here, by those of the file
 * @param names names they get, by the identifiers of the file
 */
record Joining(Map<String, String> same, Map<String, String> names) {
  /** Nothing of the file has a name that is known here. */
  static final Joining NONE = new Joining(Map.of(), Map.of());

  /** What several jobs share, and which have names. */
  static final List<String> NAMED = List.of("vehicle", "engine_type");

  private static final String HISTORY = "_history";

  /**
   * A name of the file that is known here.
   *
   * @param table what has it
   * @param id its identifier in the file
   * @param name the name
   * @param here the identifier of what has it here
   */
  record Clash(String table, String id, String name, String here) {}

  /**
   * The tables so that what is here already is referred to, and what comes beside it is renamed.
   */
  void apply(ObjectNode tables) {
    for (String table : NAMED) {
      for (String each : List.of(table, table + HISTORY)) {
        keep(tables, each, row -> !same.containsKey(row.path("id").asString("")));
      }
      tables.path(table).forEach(row -> rename((ObjectNode) row));
    }
    // what was changed on a vehicle or type counts as it is here
    keep(
        tables,
        "circuit_edit",
        row ->
            !same.containsKey(row.path("vehicle_id").asString(""))
                && !same.containsKey(row.path("engine_type_id").asString("")));
    for (Map.Entry<String, JsonNode> table : tables.properties()) {
      table.getValue().forEach(row -> refer((ObjectNode) row));
    }
  }

  private void rename(ObjectNode row) {
    String name = names.get(row.path("id").asString(""));
    if (name != null) {
      row.put("name", name);
    }
  }

  private void refer(ObjectNode row) {
    Map<String, String> changed = new HashMap<>();
    for (Map.Entry<String, JsonNode> member : row.properties()) {
      String here = same.get(member.getValue().isString() ? member.getValue().asString() : "");
      if (here != null && member.getKey().endsWith("_id")) {
        changed.put(member.getKey(), here);
      }
    }
    changed.forEach(row::put);
  }

  /** Leaves out the rows of a table that are not wanted. */
  static void keep(ObjectNode tables, String table, java.util.function.Predicate<JsonNode> wanted) {
    if (tables.path(table) instanceof ArrayNode rows) {
      List<JsonNode> kept = new ArrayList<>();
      rows.forEach(
          row -> {
            if (wanted.test(row)) {
              kept.add(row);
            }
          });
      tables.putArray(table).addAll(kept);
    }
  }

  /** Identifiers of what is here already. */
  Set<String> here() {
    return Set.copyOf(same.values());
  }
}
