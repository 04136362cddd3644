package gotera.suspects;

import gotera.circuit.Circuit;
import gotera.evidence.Mode;
import gotera.look.LookState;
import gotera.word.Worded;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * The published vocabulary: names of places, signs, results and checks with what they tell, each
 * with its status. The numbers are in the tables beside this class: {@code places.csv}, {@code
 * signs.csv}, {@code results.csv}, {@code conditions.csv}, {@code checks.csv} and {@code acts.csv};
 * words without numbers in {@code words.csv}.
 */
public final class Vocabulary {
  private static final Vocabulary PUBLISHED = new Vocabulary();

  private final List<VocabularyEntry> entries = new ArrayList<>();
  private final Map<String, PlaceFacts> places = new LinkedHashMap<>();
  private final PlaceFacts added;
  private final Map<String, RegionFacts> signs = new LinkedHashMap<>();
  private final Map<String, RegionFacts> results = new LinkedHashMap<>();
  private final Map<String, CheckFacts> checks = new LinkedHashMap<>();
  private final Map<String, Double> minutes = new HashMap<>();
  private final Map<String, Map<Mode, Double>> acts = new HashMap<>();

  /**
   * A name.
   *
   * @param kind place, sign, check, state, observation, spot, feature, part or condition
   * @param name the name
   * @param synonyms other words that find it
   * @param status where its numbers come from
   */
  public record VocabularyEntry(String kind, String name, List<String> synonyms, String status) {}

  private Vocabulary() {
    for (Map<String, String> r : rows("acts.csv")) {
      acts.put(cell(r, "when"), modes(r));
    }
    for (Map<String, String> r : rows("places.csv")) {
      places.put(cell(r, "place"), place(r));
      entries.add(entry("place", r));
    }
    added =
        places.values().stream().filter(p -> p.kind() == PlaceKind.ADDED).findFirst().orElseThrow();
    for (Map<String, String> r : rows("signs.csv")) {
      signs.put(cell(r, "sign"), region("sign", r));
      entries.add(entry("sign", r));
    }
    for (Map<String, String> r : rows("results.csv")) {
      results.put(cell(r, "result"), region("result", r));
    }
    for (Map<String, String> r : rows("conditions.csv")) {
      checks.put(cell(r, "condition"), check("condition", r));
      entries.add(entry("condition", r));
    }
    for (Map<String, String> r : rows("checks.csv")) {
      if (!cell(r, "sees").isEmpty()) {
        checks.put(cell(r, "check"), check("check", r));
      }
      if (!cell(r, "minutes").isEmpty()) {
        minutes.put(cell(r, "check"), number(r, "minutes"));
      }
      entries.add(entry("check", r));
    }
    for (Map<String, String> r : rows("words.csv")) {
      entries.add(
          new VocabularyEntry(cell(r, "kind"), cell(r, "word"), synonyms(r), cell(r, "status")));
    }
  }

  /** The vocabulary that ships with the application. */
  public static Vocabulary published() {
    return PUBLISHED;
  }

  /** Every name with its synonyms and status, for printing. */
  public List<VocabularyEntry> entries() {
    return List.copyOf(entries);
  }

  /** The places, whatever the vehicle. */
  public List<PlaceFacts> places() {
    return List.copyOf(places.values());
  }

  /**
   * The places of a circuit: its joints, the inside where something burns, and what has no name on
   * it. A joint the shop added has the facts of {@code added.joint}.
   */
  public List<PlaceFacts> places(Circuit circuit) {
    boolean burns = circuit.part("block").isPresent();
    List<PlaceFacts> all = new ArrayList<>();
    for (PlaceFacts p : places.values()) {
      boolean here =
          switch (p.kind()) {
            case INSIDE -> burns;
            case ELSEWHERE -> true;
            case JOINT -> circuit.joint(p.place()).isPresent();
            case ADDED -> false;
          };
      if (here) {
        all.add(p);
      }
    }
    circuit.joints().stream()
        .filter(j -> place(j.code()).isEmpty())
        .forEach(j -> all.add(facts(j.code())));
    return all;
  }

  /** What is known of a place beforehand; of one that the shop added, what is known of those. */
  public PlaceFacts facts(String name) {
    return place(name).orElseGet(() -> added.named(name));
  }

  /** The place that stands for whatever leaks in a region without a name on the circuit. */
  String elsewhere(String region) {
    return known(places, "elsewhere." + region).place();
  }

  /** A place by its name. */
  public Optional<PlaceFacts> place(String name) {
    return Optional.ofNullable(places.get(name));
  }

  /** The signs. */
  public List<RegionFacts> signs() {
    return List.copyOf(signs.values());
  }

  /** A sign by its name. */
  public Optional<RegionFacts> sign(String name) {
    return Optional.ofNullable(signs.get(name));
  }

  /** The result of a check by its name; one that is none is a mistake in the code. */
  RegionFacts result(String name) {
    return known(results, name);
  }

  /** A check or a condition by its name; one that is none is a mistake in the code. */
  CheckFacts check(String name) {
    return known(checks, name);
  }

  /** What a check costs without what must come first (min). */
  double minutes(String check) {
    return known(minutes, check);
  }

  /** How far a fault acts at a time, by its mode; 1 and more is in full. */
  Map<Mode, Double> acts(String when) {
    return known(acts, when);
  }

  /** The same while the vehicle is in a state. */
  Map<Mode, Double> acts(LookState state) {
    return acts(state.word());
  }

  /** The words of a kind. */
  public List<String> words(String kind) {
    return entries.stream().filter(e -> e.kind().equals(kind)).map(VocabularyEntry::name).toList();
  }

  /** The words of a kind that a text of a person finds, by themselves or by a synonym. */
  List<String> found(String kind, String text) {
    String said = " " + text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ") + " ";
    return entries.stream()
        .filter(e -> e.kind().equals(kind))
        .filter(e -> e.synonyms().stream().anyMatch(s -> said.contains(" " + s + " ")))
        .map(VocabularyEntry::name)
        .toList();
  }

  private static <T> T known(Map<String, T> table, String name) {
    return Objects.requireNonNull(table.get(name), name);
  }

  private static PlaceFacts place(Map<String, String> r) {
    Map<Mode, Double> modes = modes(r);
    modes.values().removeIf(share -> share == 0);
    return new PlaceFacts(
        cell(r, "place"),
        number(r, "prior"),
        modes,
        new PlaceFacts.Seen(
            number(r, "seen_pressed"), number(r, "seen_running"), number(r, "seen_parked")),
        number(r, "false_alarm"),
        new PlaceFacts.Access(number(r, "minutes"), cell(r, "covers"), number(r, "access_minutes")),
        Worded.of(PlaceKind.class, cell(r, "kind")).orElseThrow());
  }

  private static Map<Mode, Double> modes(Map<String, String> r) {
    Map<Mode, Double> modes = new EnumMap<>(Mode.class);
    for (Mode mode : Mode.values()) {
      modes.put(mode, number(r, mode.word()));
    }
    return modes;
  }

  private RegionFacts region(String column, Map<String, String> r) {
    return new RegionFacts(
        cell(r, column),
        causes(cell(r, "causes")),
        acts(cell(r, "when")),
        number(r, "false_alarm"));
  }

  private static CheckFacts check(String column, Map<String, String> r) {
    return new CheckFacts(cell(r, column), number(r, "sees"), number(r, "false_alarm"));
  }

  /** Causes by name; {@code outside} and {@code any} stand for places not named themselves. */
  private Map<String, Double> causes(String text) {
    Map<String, Double> named = new HashMap<>();
    for (String part : text.split(" ", -1)) {
      int equals = part.indexOf('=');
      named.put(part.substring(0, equals), Double.parseDouble(part.substring(equals + 1)));
    }
    Map<String, Double> causes = new HashMap<>();
    for (PlaceFacts p : places.values()) {
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

  private static VocabularyEntry entry(String kind, Map<String, String> r) {
    return new VocabularyEntry(kind, cell(r, kind), synonyms(r), cell(r, "status"));
  }

  private static List<String> synonyms(Map<String, String> r) {
    return java.util.Arrays.stream(cell(r, "synonyms").split(",", -1))
        .map(String::strip)
        .filter(s -> !s.isEmpty())
        .toList();
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
