package gotera.formats;

import gotera.range.Range;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.json.JsonMapper;

/** The members of one JSON object, read strictly: what was not asked for is refused at the end. */
final class JsonMembers {
  private static final JsonMapper MAPPER =
      JsonMapper.builder().enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY).build();

  /** Letters of what was found that a refusal repeats. */
  private static final int REPEATED = 80;

  private final String path;
  private final JsonNode object;
  private final Problems problems;
  private final Set<String> known = new LinkedHashSet<>();

  JsonMembers(String path, JsonNode object, Problems problems) {
    this.path = path;
    this.object = object;
    this.problems = problems;
  }

  /** The object that a file is; what it is instead is said. */
  static Optional<JsonMembers> of(String json, Problems problems) {
    JsonNode root;
    try {
      root = MAPPER.readTree(json);
    } catch (MismatchedInputException e) {
      problems.add(line(e), "", "a member that is there twice", "each member once");
      return Optional.empty();
    } catch (JacksonException e) {
      problems.add(line(e), "", "text that is no JSON", "a JSON object");
      return Optional.empty();
    }
    if (!root.isObject()) {
      problems.add(1, "", root.isMissingNode() ? "an empty file" : "no object", "a JSON object");
      return Optional.empty();
    }
    return Optional.of(new JsonMembers("", root, problems));
  }

  private static long line(JacksonException e) {
    return e.getLocation() == null ? 0 : Math.max(0, e.getLocation().getLineNr());
  }

  /** The format of the file, which it must say. */
  void format(String format) {
    if (!has("format")) {
      refuse("format", "nothing", format);
    }
    word("format", List.of(format));
  }

  OptionalDouble number(String name, Range range) {
    JsonNode node = get(name);
    if (node == null) {
      return OptionalDouble.empty();
    }
    if (!node.isNumber() || !range.holds(node.doubleValue())) {
      refuse(name, node.toString(), "a number from " + range.low() + " to " + range.high());
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(node.doubleValue());
  }

  OptionalDouble required(String name, Range range) {
    if (!object.has(name) || object.get(name).isNull()) {
      known.add(name);
      refuse(name, "nothing", "a number; this member is required");
      return OptionalDouble.empty();
    }
    return number(name, range);
  }

  /** A number whose size lies within a range, with either sign. */
  OptionalDouble requiredSigned(String name, Range range) {
    JsonNode node = object.get(name);
    if (node != null && node.isNumber() && range.holds(Math.abs(node.doubleValue()))) {
      known.add(name);
      return OptionalDouble.of(node.doubleValue());
    }
    return required(name, range);
  }

  boolean flag(String name, boolean otherwise) {
    JsonNode node = get(name);
    if (node != null && !node.isBoolean()) {
      refuse(name, node.toString(), "true or false");
    }
    return node == null ? otherwise : node.isBoolean() && node.booleanValue();
  }

  Optional<String> word(String name, List<String> words) {
    JsonNode node = get(name);
    if (node == null) {
      return Optional.empty();
    }
    if (!node.isString() || !words.contains(node.stringValue())) {
      refuse(name, node.toString(), "one of " + String.join(", ", words));
      return Optional.empty();
    }
    return Optional.of(node.stringValue());
  }

  /** One of a choice, by its word. */
  <E extends Enum<E> & Worded> Optional<E> choice(String name, Class<E> choice) {
    return word(name, Worded.words(choice)).flatMap(w -> Worded.of(choice, w));
  }

  /** One of a choice that must be made. */
  <E extends Enum<E> & Worded> Optional<E> requiredChoice(String name, Class<E> choice) {
    if (!has(name)) {
      refuse(name, "nothing", "one of " + String.join(", ", Worded.words(choice)));
    }
    return choice(name, choice);
  }

  /** A word among those that are known; another one is refused with the nearest. */
  Optional<String> known(String name, String word, List<String> known, String expected) {
    if (!known.contains(word)) {
      refuse(name, word, expected + ", nearest: " + Nearest.to(word, known));
      return Optional.empty();
    }
    return Optional.of(word);
  }

  /** Each of an array of words of a choice. */
  <E extends Enum<E> & Worded> List<String> choices(String name, Class<E> choice, String expected) {
    return texts(name).stream()
        .flatMap(w -> known(name, w, Worded.words(choice), expected).stream())
        .toList();
  }

  /** A text that must be there. */
  Optional<String> requiredText(String name, String expected) {
    if (!has(name)) {
      refuse(name, "nothing", expected);
    }
    return text(name);
  }

  /** A member of which this version computes only one value. */
  void onlyYet(String name, String value) {
    JsonNode node = get(name);
    if (node != null && !(node.isString() && node.stringValue().equals(value))) {
      refuse(name, node.toString(), value + "; this version computes nothing else yet");
    }
  }

  Optional<JsonMembers> object(String name) {
    JsonNode node = get(name);
    if (node == null) {
      return Optional.empty();
    }
    if (!node.isObject()) {
      refuse(name, node.toString(), "an object");
      return Optional.empty();
    }
    return Optional.of(new JsonMembers(path + name + ".", node, problems));
  }

  Optional<String> text(String name) {
    JsonNode node = get(name);
    if (node != null && !node.isString()) {
      refuse(name, node.toString(), "a text");
    }
    return node == null || !node.isString() ? Optional.empty() : Optional.of(node.stringValue());
  }

  /** The texts of an array; none where it is absent. */
  List<String> texts(String name) {
    JsonNode node = get(name);
    List<String> texts = new ArrayList<>();
    if (node == null) {
      return texts;
    }
    if (!node.isArray()) {
      refuse(name, node.toString(), "an array of texts");
      return texts;
    }
    for (int i = 0; i < node.size(); i++) {
      if (node.get(i).isString()) {
        texts.add(node.get(i).stringValue());
      } else {
        refuse(name, node.get(i).toString(), "an array of texts");
      }
    }
    return texts;
  }

  boolean has(String name) {
    return object.has(name);
  }

  /** The objects of an array; none where it is absent. */
  List<JsonMembers> elements(String name) {
    JsonNode node = get(name);
    List<JsonMembers> elements = new ArrayList<>();
    if (node == null) {
      return elements;
    }
    if (!node.isArray()) {
      refuse(name, node.toString(), "an array of objects");
      return elements;
    }
    for (int i = 0; i < node.size(); i++) {
      if (node.get(i).isObject()) {
        elements.add(new JsonMembers(path + name + "[" + i + "].", node.get(i), problems));
      } else {
        refuse(name, node.get(i).toString(), "an array of objects");
      }
    }
    return elements;
  }

  void refuse(String name, String found, String expected) {
    boolean tooLong = found.length() > REPEATED;
    problems.add(0, path + name, tooLong ? found.substring(0, REPEATED) + "…" : found, expected);
  }

  void refuseUnknown() {
    List<String> names = new ArrayList<>(object.propertyNames());
    for (String name : names) {
      if (!known.contains(name)) {
        refuse(name, name, "a known member, nearest: " + Nearest.to(name, known));
      }
    }
  }

  /** A member as it stands, now known; null where it is absent. */
  @Nullable JsonNode get(String name) {
    known.add(name);
    JsonNode node = object.get(name);
    return node == null || node.isNull() ? null : node;
  }
}
