package gotera.formats.records;

import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Records of earlier versions as those of the latest one. */
public final class Upgrade {
  private static final String FORMAT = "format";
  private static final String LATEST = "gotera-records/2";
  private static final String FIRST = "gotera-records/1";

  private Upgrade() {}

  /** The records as those of the latest version; empty where they are of none that is known. */
  public static Optional<JsonNode> toLatest(JsonNode records) {
    String version = records.path(FORMAT).asString("");
    if (version.equals(LATEST)) {
      return Optional.of(records);
    }
    return version.equals(FIRST) && records instanceof ObjectNode first
        ? Optional.of(fromFirst(first.deepCopy()))
        : Optional.empty();
  }

  /**
   * Version 1 had the tables and columns of the database of its day: what was not asked yet is told
   * as such.
   */
  private static ObjectNode fromFirst(ObjectNode records) {
    records.put(FORMAT, LATEST);
    for (Map.Entry<String, JsonNode> table : records.path("tables").properties()) {
      for (JsonNode row : table.getValue()) {
        if (row instanceof ObjectNode object) {
          for (Member member : RecordsFormat.members(table.getKey())) {
            if (member.needed() && !object.has(member.name())) {
              notAsked(object, member);
            }
          }
        }
      }
    }
    return records;
  }

  private static void notAsked(ObjectNode row, Member member) {
    switch (member.kind()) {
      case WORD -> row.put(member.name(), member.words().get(0));
      case TEXT -> row.put(member.name(), "");
      case NUMBER, WHOLE, YES_NO -> row.put(member.name(), (long) Math.max(0, lowest(member)));
      case ID, OF, MOMENT, DAY, HASH, BYTES, FILE -> {
        // none of these was added since; where one is missing it is told as missing
      }
    }
  }

  private static double lowest(Member member) {
    return member.kind() == Member.Kind.YES_NO ? 0 : member.low();
  }
}
