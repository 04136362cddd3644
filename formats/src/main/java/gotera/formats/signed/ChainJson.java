package gotera.formats.signed;

import gotera.formats.signed.Chain.Link;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;

/** A chain as JSON: a list of entries. */
final class ChainJson {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private ChainJson() {}

  static String write(Chain chain) {
    ArrayNode list = MAPPER.createArrayNode();
    for (Link link : chain.links()) {
      list.addObject()
          .put("at", link.at().toString())
          .put("by", link.by())
          .put("what", link.what())
          .put("hash", link.hash());
    }
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(list);
  }

  /** Reads it back; empty where it is none. */
  static Optional<Chain> read(byte[] text) {
    try {
      List<Link> links = new ArrayList<>();
      for (JsonNode n : MAPPER.readTree(text)) {
        links.add(
            new Link(
                Instant.parse(n.path("at").asString("")),
                n.path("by").asString(""),
                n.path("what").asString(""),
                n.path("hash").asString("")));
      }
      return Optional.of(new Chain(links));
    } catch (JacksonException | DateTimeParseException e) {
      return Optional.empty();
    }
  }
}
