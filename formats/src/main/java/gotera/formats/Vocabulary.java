package gotera.formats;

import gotera.circuit.Circuit;
import gotera.evidence.CheckFacts;
import gotera.evidence.PlaceFacts;
import gotera.evidence.SignFacts;
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
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

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
  private static final CSVFormat FORMAT =
      CSVFormat.Builder.create()
          .setDelimiter(';')
          .setHeader()
          .setSkipHeaderRecord(true)
          .setTrim(true)
          .get();

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
    PlaceFacts added = place("added.joint").orElseThrow();
    circuit.joints().stream()
        .filter(j -> place(j.code()).isEmpty())
        .forEach(j -> of.add(added.named(j.code())));
    return of;
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

  private static Vocabulary read() {
    List<VocabularyEntry> entries = new ArrayList<>();
    List<PlaceFacts> places = new ArrayList<>();
    for (CSVRecord r : records("places.csv")) {
      places.add(
          new PlaceFacts(
              r.get("place"),
              number(r, "prior"),
              PlaceFacts.Acts.valueOf(r.get("acts").toUpperCase(Locale.ROOT)),
              number(r, "seen_pressed"),
              number(r, "seen_running"),
              number(r, "seen_parked"),
              number(r, "false_alarm"),
              number(r, "minutes"),
              r.get("inside").equals("yes")));
      entries.add(entry("place", r.get("place"), r));
    }
    List<SignFacts> signs = new ArrayList<>();
    for (CSVRecord r : records("signs.csv")) {
      signs.add(
          new SignFacts(r.get("sign"), causes(r.get("causes"), places), number(r, "false_alarm")));
      entries.add(entry("sign", r.get("sign"), r));
    }
    List<CheckFacts> checks = new ArrayList<>();
    for (CSVRecord r : records("checks.csv")) {
      if (!r.get("sees").isEmpty()) {
        checks.add(new CheckFacts(r.get("check"), number(r, "sees"), number(r, "false_alarm")));
      }
      entries.add(entry("check", r.get("check"), r));
    }
    for (CSVRecord r : records("words.csv")) {
      entries.add(entry(r.get("kind"), r.get("word"), r));
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

  private static VocabularyEntry entry(String kind, String name, CSVRecord r) {
    List<String> synonyms =
        java.util.Arrays.stream(r.get("synonyms").split(",", -1))
            .map(String::strip)
            .filter(s -> !s.isEmpty())
            .toList();
    return new VocabularyEntry(kind, name, synonyms, r.get("status"));
  }

  private static double number(CSVRecord r, String column) {
    return Double.parseDouble(r.get(column));
  }

  private static List<CSVRecord> records(String file) {
    try (InputStreamReader reader =
        new InputStreamReader(
            Objects.requireNonNull(Vocabulary.class.getResourceAsStream(file), file),
            StandardCharsets.UTF_8)) {
      return FORMAT.parse(reader).getRecords();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
