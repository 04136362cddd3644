package gotera.web.pressure.verdict;

import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.setup.Assumption;
import gotera.web.pressure.trace.Unreadable;
import java.util.List;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Stored verdicts: their own format with its version, apart from the types of the computation as
 * they happen to be. Version 1 held the answer alone; version 2 freezes the conditions and what was
 * assumed beside it. A member that an older one lacks reads as absent. Golden files of every
 * version are read in a test.
 */
public final class VerdictArchive {
  private static final int VERSION = 2;
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private VerdictArchive() {}

  /**
   * A verdict as it was given.
   *
   * @param result the answer
   * @param conditions what it was computed under; empty in version 1
   * @param assumed what was assumed; empty in version 1
   */
  public record Stored(
      PressureTestResult result, Optional<HoldConditions> conditions, List<Assumption> assumed) {}

  /** A verdict as text. */
  public static String write(
      PressureTestResult result, HoldConditions conditions, List<Assumption> assumed) {
    ObjectNode n = MAPPER.createObjectNode().put("version", VERSION);
    ArrayNode names = n.putArray("assumed");
    assumed.forEach(a -> names.add(a.member()));
    VerdictJson.result(n.putObject("result"), result);
    VerdictJson.conditions(n.putObject("conditions"), conditions);
    return MAPPER.writeValueAsString(n);
  }

  /**
   * Reads any version.
   *
   * @throws Unreadable where it is none of them
   */
  public static Stored read(String json) {
    try {
      JsonNode n = MAPPER.readTree(json);
      if (!n.has("version")) {
        return new Stored(StoredVerdict.result(n), Optional.empty(), List.of());
      }
      if (n.get("version").intValue() != VERSION) {
        throw new Unreadable("verdict of version " + n.get("version"));
      }
      return new Stored(
          StoredVerdict.result(StoredVerdict.at(n, "result")),
          Optional.of(StoredVerdict.conditions(StoredVerdict.at(n, "conditions"))),
          StoredVerdict.list(n, "assumed", StoredVerdict::assumption));
    } catch (JacksonException | IllegalArgumentException e) {
      throw new Unreadable("verdict: " + e.getMessage());
    }
  }
}
