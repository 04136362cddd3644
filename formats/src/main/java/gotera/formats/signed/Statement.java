package gotera.formats.signed;

import java.nio.charset.StandardCharsets;
import java.security.KeyPair;
import java.security.PublicKey;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is signed: hashes of the parts of a file by name, in order, and the head of its chain.
 *
 * @param at when
 * @param parts the parts
 * @param entries entries of the chain
 * @param head the chain's last hash
 * @param key public key (X.509, base 64)
 */
record Statement(Instant at, List<Part> parts, int entries, String head, String key) {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final String FORMAT = "gotera-signature/1";

  Statement {
    parts = List.copyOf(parts);
  }

  /** A part: its name and the hash of its bytes. */
  record Part(String name, String sha256) {}

  /** A statement and the signature under it, as they were read. */
  record Signed(String text, byte[] signature) {}

  static Statement of(List<Part> parts, Chain chain, Instant at, KeyPair keys) {
    return new Statement(
        at,
        parts,
        chain.links().size(),
        chain.head(),
        Base64.getEncoder().encodeToString(keys.getPublic().getEncoded()));
  }

  /** As one line of JSON. */
  String text() {
    ObjectNode n = MAPPER.createObjectNode();
    n.put("format", FORMAT).put("at", at.toString());
    n.put("chain_entries", entries).put("chain_head", head).put("key", key);
    ArrayNode list = n.putArray("parts");
    parts.forEach(p -> list.addObject().put("name", p.name()).put("sha256", p.sha256()));
    return MAPPER.writeValueAsString(n);
  }

  byte[] sign(KeyPair keys) {
    return Keys.sign(text().getBytes(StandardCharsets.UTF_8), keys.getPrivate());
  }

  String fingerprint() {
    return Keys.fingerprint(Base64.getDecoder().decode(key));
  }

  /** A statement that its own key signed; empty where anything of it is otherwise. */
  static Optional<Statement> read(Signed signed) {
    Optional<Statement> statement = read(signed.text());
    Optional<PublicKey> key = statement.flatMap(s -> Keys.open(s.key()));
    byte[] text = signed.text().getBytes(StandardCharsets.UTF_8);
    return statement.filter(
        s -> key.filter(k -> Keys.fits(text, signed.signature(), k)).isPresent());
  }

  private static Optional<Statement> read(String text) {
    try {
      JsonNode n = MAPPER.readTree(text);
      if (!n.path("format").asString("").equals(FORMAT)) {
        return Optional.empty();
      }
      List<Part> parts = new ArrayList<>();
      for (JsonNode p : n.path("parts")) {
        parts.add(new Part(p.path("name").asString(""), p.path("sha256").asString("")));
      }
      return Optional.of(
          new Statement(
              Instant.parse(n.path("at").asString("")),
              parts,
              n.path("chain_entries").asInt(0),
              n.path("chain_head").asString(""),
              n.path("key").asString("")));
    } catch (JacksonException | DateTimeParseException e) {
      return Optional.empty();
    }
  }

  /** The first of its parts that differs from what is there; empty where all are the same. */
  Optional<String> firstDifferent(List<Part> there) {
    for (Part part : parts) {
      Optional<Part> found = there.stream().filter(p -> p.name().equals(part.name())).findFirst();
      if (found.isEmpty()) {
        return Optional.of(part.name() + " is missing");
      }
      if (!found.get().sha256().equals(part.sha256())) {
        return Optional.of(part.name() + " is not what was signed");
      }
    }
    return there.stream()
        .filter(p -> parts.stream().noneMatch(q -> q.name().equals(p.name())))
        .map(p -> p.name() + " was put in")
        .findFirst();
  }
}
