package gotera.formats.records;

import gotera.formats.FormatProblem;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;

/**
 * The tables and members of {@code gotera-records/2}, as {@code records-2.csv} beside this class
 * has them: what is not there is not taken, and what is there holds what it may.
 */
public final class RecordsFormat {
  /**
   * What the records of an earlier state are called: those of table {@code cap} are in this one.
   */
  public static final String HISTORY = "_history";

  private static final String FILE = "records-2.csv";
  private static final int MOST_PROBLEMS = 20;
  private static final Map<String, Map<String, Member>> TABLES = read();

  private RecordsFormat() {}

  /** Names of the tables. */
  public static Set<String> tables() {
    return TABLES.keySet();
  }

  /** Members of a table, in their order; none where it is not known. */
  public static List<Member> members(String table) {
    return List.copyOf(TABLES.getOrDefault(table, Map.of()).values());
  }

  /** What is wrong with all the records of a job, the first of it, as a sentence. */
  public static Optional<String> wrong(JsonNode tables) {
    if (!tables.isObject()) {
      return Optional.of("there are no tables");
    }
    for (String table : tables.propertyNames()) {
      if (!TABLES.containsKey(table)) {
        return Optional.of("there is no table " + table);
      }
      int number = 1;
      for (JsonNode row : tables.path(table)) {
        List<FormatProblem> problems = problems(table, number++, row);
        if (!problems.isEmpty()) {
          return Optional.of(problems.get(0).sentence());
        }
      }
    }
    return Optional.empty();
  }

  /**
   * What is wrong with a row, at its place, the first few only.
   *
   * @param table its table
   * @param number its number, from 1
   */
  public static List<FormatProblem> problems(String table, int number, JsonNode row) {
    Map<String, Member> members = TABLES.get(table);
    if (members == null) {
      return List.of(new FormatProblem(0, table, table, "one of: " + String.join(", ", tables())));
    }
    if (!row.isObject()) {
      return List.of(new FormatProblem(0, table, row.toString(), "records as objects"));
    }
    List<FormatProblem> problems = new ArrayList<>();
    Set<String> unknown = new TreeSet<>(row.propertyNames());
    unknown.removeAll(members.keySet());
    for (String name : unknown) {
      problems.add(problem(table, number, name, name, "no such member"));
    }
    for (Member member : members.values()) {
      JsonNode value = row.path(member.name());
      member
          .wrong(value)
          .ifPresent(
              expected ->
                  problems.add(problem(table, number, member.name(), shown(value), expected)));
    }
    if (problems.isEmpty()) {
      Together.wrong(table, row)
          .ifPresent(
              w -> problems.add(problem(table, number, w.member(), w.found(), w.expected())));
    }
    return problems.subList(0, Math.min(MOST_PROBLEMS, problems.size()));
  }

  private static FormatProblem problem(
      String table, int number, String member, String found, String expected) {
    return new FormatProblem(0, table + " " + number + ", " + member, found, expected);
  }

  private static String shown(JsonNode value) {
    return value.isMissingNode() || value.isNull()
        ? "nothing"
        : value.isString() ? value.asString() : value.toString();
  }

  private static Map<String, Map<String, Member>> read() {
    Map<String, Map<String, Member>> tables = new LinkedHashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(RecordsFormat.class.getResourceAsStream(FILE), FILE),
                StandardCharsets.UTF_8))) {
      lines.readLine(); // the names of the columns
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        String[] cells = line.split(";", -1);
        Member member =
            new Member(
                cells[0], cells[1], Member.Kind.of(cells[2]), cells[3], cells[4].equals("yes"));
        tables.computeIfAbsent(member.table(), t -> new LinkedHashMap<>()).put(cells[1], member);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(FILE, e);
    }
    Map<String, Map<String, Member>> all = new LinkedHashMap<>(tables);
    tables.forEach((table, members) -> all.put(table + HISTORY, history(members)));
    return all;
  }

  /** An earlier state has the same members, any of which may not have been there yet. */
  private static Map<String, Member> history(Map<String, Member> members) {
    Map<String, Member> history = new LinkedHashMap<>();
    for (Member m : members.values()) {
      history.put(
          m.name(),
          new Member(
              m.table() + HISTORY,
              m.name(),
              m.kind(),
              m.of(),
              m.kind() == Member.Kind.ID && m.needed()));
    }
    for (Member m :
        List.of(
            new Member("", "revision", Member.Kind.WHOLE, "1..2000000000", true),
            new Member("", "revision_type", Member.Kind.WHOLE, "0..2", false))) {
      history.put(m.name(), m);
    }
    return history;
  }

  /**
   * A member, where there is one.
   *
   * @param table its table
   * @param name its name
   */
  public static Optional<Member> member(String table, String name) {
    return Optional.ofNullable(TABLES.getOrDefault(table, Map.of()).get(name));
  }
}
