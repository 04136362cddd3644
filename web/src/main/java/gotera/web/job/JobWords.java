package gotera.web.job;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Which jobs have a word, by indexes of the database, so that a rare one is found without reading
 * every job. A word that stands in very many jobs is not answered: a page of those is soon full.
 */
@Component
class JobWords {
  /** From so many jobs on a word is common (our judgement; bench/growth). */
  private static final int COMMON = 2000;

  /** Shorter ones are in no index: the database's own default. */
  private static final int SHORTEST = 3;

  /** Longer ones neither. */
  private static final int LONGEST = 84;

  /** In no index: the database's own words without meaning; months stand in dates. */
  private static final Set<String> NOT_INDEXED =
      Set.of(
          "about", "are", "com", "for", "from", "how", "that", "the", "this", "was", "what", "when",
          "where", "who", "will", "with", "und", "www", "jan", "feb", "mar", "apr", "may", "jun",
          "jul", "aug", "sep", "oct", "nov", "dec");

  private static final Pattern NO_LETTERS = Pattern.compile("[^\\p{L}\\p{M}\\p{N}]+");

  /** A year, or several numbers: they may stand in a date, which is in no index. */
  private static final Pattern NUMBERS = Pattern.compile("(19|20)\\d\\d|\\d*[.:/-][\\d.:/-]*");

  private static final Pattern DAY = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
  private static final Pattern MONTH = Pattern.compile("\\d{4}-\\d{2}");

  private static final String WITH =
      """
      select id from job where match(complaint, ending, ending_note) against (? in boolean mode)
      union all
      select j.id from vehicle v join job j on j.vehicle_id = v.id
        where match(v.name_words) against (? in boolean mode)
      union all
      select j.id from vehicle v join job j on j.vehicle_id = v.id
        where match(v.description) against (? in boolean mode)
      union all
      select l.job_id from leak_site l
        where match(l.joint) against (? in boolean mode) and l.saw <> 'dry'
      union all
      select r.job_id from repair r where match(r.joint) against (? in boolean mode)
      union all
      select j.id from engine_type t join vehicle_circuit vc on vc.engine_type_id = t.id
        join job j on j.vehicle_id = vc.vehicle_id where t.name like ?
      limit ?
      """;

  private static final String BETWEEN =
      """
      select id from job where started_at >= ? and started_at < ?
      union all
      select id from job where closed_at >= ? and closed_at < ?
      limit ?
      """;

  private final JdbcTemplate database;

  JobWords(JdbcTemplate database) {
    this.database = database;
  }

  /**
   * Which jobs have a word of these, the longest that is rare: few enough to be read for the
   * others.
   *
   * @param words what is looked for
   * @return the jobs; empty where no word is rare, and all jobs must be read
   */
  Optional<Set<UUID>> having(List<String> words) {
    return words.stream()
        .sorted(Comparator.comparingInt(String::length).reversed())
        .map(this::having)
        .flatMap(Optional::stream)
        .findFirst();
  }

  private Optional<Set<UUID>> having(String word) {
    try {
      if (DAY.matcher(word).matches()) {
        LocalDate day = LocalDate.parse(word);
        return between(day, day.plusDays(1));
      }
      if (MONTH.matcher(word).matches()) {
        YearMonth month = YearMonth.parse(word);
        return between(month.atDay(1), month.plusMonths(1).atDay(1));
      }
    } catch (DateTimeParseException e) {
      return Optional.empty(); // the thirteenth month is in no date, and may be in a complaint
    }
    return beginning(word);
  }

  private Optional<Set<UUID>> between(LocalDate from, LocalDate to) {
    return few(BETWEEN, from, to, from, to, COMMON);
  }

  private Optional<Set<UUID>> beginning(String word) {
    List<String> parts =
        Arrays.stream(NO_LETTERS.split(word.toLowerCase(Locale.ROOT)))
            .filter(p -> p.length() >= SHORTEST && p.length() <= LONGEST)
            .filter(p -> !NOT_INDEXED.contains(p))
            .toList();
    if (parts.isEmpty() || NUMBERS.matcher(word).matches()) {
      return Optional.empty();
    }
    String beginnings = parts.stream().map(p -> "+" + p + "*").collect(Collectors.joining(" "));
    List<Object> parameters = new ArrayList<>(Collections.nCopies(5, beginnings));
    parameters.add(JobList.anywhere(word));
    parameters.add(COMMON);
    return few(WITH, parameters.toArray());
  }

  private Optional<Set<UUID>> few(String asked, Object... parameters) {
    List<UUID> found =
        database.query(asked, (row, n) -> UUID.fromString(row.getString(1)), parameters);
    return found.size() < COMMON ? Optional.of(new HashSet<>(found)) : Optional.empty();
  }
}
