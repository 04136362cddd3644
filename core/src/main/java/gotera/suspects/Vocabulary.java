package gotera.suspects;

import gotera.circuit.Circuit;
import gotera.evidence.CheckFacts;
import gotera.evidence.PlaceFacts;
import gotera.evidence.SignFacts;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * The published vocabulary: names of places and signs with what they tell, each with its status.
 * The numbers are in {@code places.csv}, {@code signs.csv} and {@code checks.csv}; words without
 * numbers in {@code words.csv}, beside this class.
 *
 * @param places the places
 * @param signs the signs
 * @param checks the checks whose numbers are the same at every place
 * @param entries every name with its synonyms and status, for printing
 */
public record Vocabulary(
    List<PlaceFacts> places,
    List<SignFacts> signs,
    List<CheckFacts> checks,
    List<VocabularyEntry> entries) {
  private static final Vocabulary PUBLISHED = read();

  /** The vocabulary that ships with the application. */
  public static Vocabulary published() {
    return PUBLISHED;
  }

  /**
   * A name.
   *
   * @param kind place, sign, check, state, observation, spot or feature
   * @param name the name
   * @param synonyms other words that find it
   * @param status where its numbers come from
   */
  public record VocabularyEntry(String kind, String name, List<String> synonyms, String status) {}

  /**
   * The places of a circuit: its joints, the inside where something burns, and what has no name on
   * it. A joint the shop added has the facts of {@code added.joint}.
   */
  public List<PlaceFacts> places(Circuit circuit) {
    boolean burns = circuit.part("block").isPresent();
    List<PlaceFacts> of = new ArrayList<>();
    for (PlaceFacts p : places) {
      boolean elsewhere = p.place().startsWith("elsewhere.");
      if ((p.inside() && burns) || elsewhere || circuit.joint(p.place()).isPresent()) {
        of.add(p);
      }
    }
    circuit.joints().stream()
        .filter(j -> place(j.code()).isEmpty())
        .forEach(j -> of.add(facts(j.code())));
    return of;
  }

  /** What is known of a place beforehand; of one that the shop added, what is known of those. */
  public PlaceFacts facts(String name) {
    return place(name).orElseGet(() -> place("added.joint").orElseThrow().named(name));
  }

  /** A place by its name. */
  public Optional<PlaceFacts> place(String name) {
    return places.stream().filter(p -> p.place().equals(name)).findFirst();
  }

  /** A check by its name; one that is none is a mistake in the code. */
  public CheckFacts check(String name) {
    return checks.stream().filter(c -> c.check().equals(name)).findFirst().orElseThrow();
  }

  /** The words of a kind. */
  public List<String> words(String kind) {
    return entries.stream().filter(e -> e.kind().equals(kind)).map(VocabularyEntry::name).toList();
  }

  /** A sign by its name. */
  public Optional<SignFacts> sign(String name) {
    return signs.stream().filter(s -> s.sign().equals(name)).findFirst();
  }

  private static PlaceFacts place(Map<String, String> r) {
    return new PlaceFacts(
        cell(r, "place"),
        number(r, "prior"),
        PlaceFacts.Acts.valueOf(cell(r, "acts").toUpperCase(Locale.ROOT)),
        number(r, "seen_pressed"),
        number(r, "seen_running"),
        number(r, "seen_parked"),
        number(r, "false_alarm"),
        number(r, "minutes"),
        cell(r, "inside").equals("yes"));
  }

  private static Vocabulary read() {
    List<VocabularyEntry> entries = new ArrayList<>();
    List<PlaceFacts> places = new ArrayList<>();
    for (Map<String, String> r : rows("places.csv")) {
      places.add(place(r));
      entries.add(entry("place", cell(r, "place"), r));
    }
    List<SignFacts> signs = new ArrayList<>();
    for (Map<String, String> r : rows("signs.csv")) {
      signs.add(
          new SignFacts(
              cell(r, "sign"), causes(cell(r, "causes"), places), number(r, "false_alarm")));
      entries.add(entry("sign", cell(r, "sign"), r));
    }
    List<CheckFacts> checks = new ArrayList<>();
    for (Map<String, String> r : rows("checks.csv")) {
      if (!cell(r, "sees").isEmpty()) {
        checks.add(new CheckFacts(cell(r, "check"), number(r, "sees"), number(r, "false_alarm")));
      }
      entries.add(entry("check", cell(r, "check"), r));
    }
    for (Map<String, String> r : rows("words.csv")) {
      entries.add(entry(cell(r, "kind"), cell(r, "word"), r));
    }
    return new Vocabulary(
        List.copyOf(places), List.copyOf(signs), List.copyOf(checks), List.copyOf(entries));
  }

  /** Causes by name; {@code outside} and {@code any} stand for places not named themselves. */
  private static Map<String, Double> causes(String text, List<PlaceFacts> places) {
    Map<String, Double> named = new HashMap<>();
    for (String part : text.split(" ", -1)) {
      int equals = part.indexOf('=');
      named.put(part.substring(0, equals), Double.parseDouble(part.substring(equals + 1)));
    }
    Map<String, Double> causes = new HashMap<>();
    for (PlaceFacts p : places) {
      Double own = named.get(p.place());
      Double outside = p.inside() ? null : named.get("outside");
      Double any = named.get("any");
      Double probability = own != null ? own : outside != null ? outside : any;
      if (probability != null) {
        causes.put(p.place(), probability);
      }
    }
    return causes;
  }

  private static VocabularyEntry entry(String kind, String name, Map<String, String> r) {
    List<String> synonyms =
        java.util.Arrays.stream(cell(r, "synonyms").split(",", -1))
            .map(String::strip)
            .filter(s -> !s.isEmpty())
            .toList();
    return new VocabularyEntry(kind, name, synonyms, cell(r, "status"));
  }

  private static double number(Map<String, String> r, String column) {
    return Double.parseDouble(cell(r, column));
  }

  private static String cell(Map<String, String> row, String column) {
    return Objects.requireNonNull(row.get(column), column);
  }

  /** The rows of a table: cells by their column, between semicolons, none of them quoted. */
  private static List<Map<String, String>> rows(String file) {
    try (BufferedReader reader =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(Vocabulary.class.getResourceAsStream(file), file),
                StandardCharsets.UTF_8))) {
      List<String> columns = List.of(reader.readLine().split(";", -1));
      List<Map<String, String>> rows = new ArrayList<>();
      for (String line = reader.readLine(); line != null; line = reader.readLine()) {
        String[] cells = line.split(";", -1);
        Map<String, String> row = new HashMap<>();
        for (int i = 0; i < columns.size(); i++) {
          row.put(columns.get(i), cells[i].strip());
        }
        rows.add(row);
      }
      return rows;
    } catch (IOException e) {
      throw new UncheckedIOException(file, e);
    }
  }
}
