package gotera.formats;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.quantity.PressureUnit;
import gotera.quantity.TemperatureUnit;
import gotera.range.Range;
import gotera.word.Worded;
import java.io.BufferedReader;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * Reads traces: RFC 4180, UTF-8, comma or semicolon, a header row with units in the names. Reads
 * row by row and keeps only the numbers, up to {@value #MOST_ROWS} rows.
 */
public final class TraceCsv {
  static final int MOST_ROWS = 2_000_000;

  /**
   * Longest row (characters; our judgement): what is longer is no trace, and is not kept in memory.
   */
  static final int LONGEST_ROW = 4096;

  /** Most events (our judgement): nobody does more to a system in a month. */
  static final int MOST_EVENTS = 2000;

  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(?:\\d+(?:\\.\\d*)?|\\.\\d+)(?:[eE][+-]?\\d{1,3})?");

  private static final List<String> COLUMNS =
      List.of(
          "elapsed_s",
          "time",
          "gauge_kpa",
          "gauge_psi",
          "gauge_bar",
          "coolant_c",
          "coolant_f",
          "event");
  private static final Map<String, PressureUnit> GAUGES =
      Map.of(
          "gauge_kpa", PressureUnit.KPA,
          "gauge_psi", PressureUnit.PSI,
          "gauge_bar", PressureUnit.BAR);

  private final Problems problems = new Problems();
  private final Trace.Builder trace = Trace.builder();
  private final Map<String, Integer> columns = new HashMap<>();
  private char separator = ',';
  private double firstSeconds = Double.NaN;
  private double lastSeconds = Double.NEGATIVE_INFINITY;
  private @Nullable Instant firstInstant;
  private int readings;
  private int events;

  private TraceCsv() {}

  /** A row beyond all measure. */
  private static final class LongRow extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /** A character that no text has. */
  private static final class NoText extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /** More lines than rows and an empty line after each. */
  private static final class ManyLines extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /**
   * Refuses rows that are too long, and lines that are too many, while they are read; a break
   * within quotes ends no row.
   */
  private static final class ShortRows extends FilterReader {
    private int length;
    private int lines;
    private boolean quoted;

    ShortRows(Reader in) {
      super(in);
    }

    @Override
    public int read(char[] into, int from, int most) throws IOException {
      int read = super.read(into, from, most);
      for (int i = from; i < from + read; i++) {
        if (into[i] == '"') {
          quoted = !quoted;
        }
        if (into[i] == '\0') {
          throw new NoText();
        }
        boolean end = into[i] == '\n' || into[i] == '\r';
        length = end && !quoted ? 0 : length + 1;
        if (length > LONGEST_ROW) {
          throw new LongRow();
        }
        if (into[i] == '\n' && ++lines > 2 * MOST_ROWS) {
          throw new ManyLines();
        }
      }
      return read;
    }
  }

  /**
   * Reads a trace.
   *
   * @param stream the file; not closed
   * @throws IOException if the stream fails
   */
  public static ReadOutcome<Trace> read(InputStream stream) throws IOException {
    return new TraceCsv().readAll(stream);
  }

  private ReadOutcome<Trace> readAll(InputStream stream) throws IOException {
    BufferedReader reader =
        new BufferedReader(
            new ShortRows(
                new InputStreamReader(
                    stream,
                    StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT))),
            1 << 16);
    try {
      reader.mark(2);
      if (reader.read() != '\ufeff') {
        reader.reset();
      }
      rows(reader);
    } catch (IOException e) {
      refuse(e);
    } catch (UncheckedIOException e) {
      refuse(Objects.requireNonNull(e.getCause()));
    }
    return problems.isEmpty() ? new ReadOutcome.Accepted<>(trace.build()) : problems.rejected();
  }

  /** What in the text stopped the reading; whatever else it was is thrown on. */
  private void refuse(IOException e) throws IOException {
    if (e instanceof CharacterCodingException || e instanceof NoText) {
      problems.add(0, "", "bytes that are no text", "a CSV file in UTF-8");
    } else if (e instanceof CSVException) {
      problems.add(0, "", "quotes that do not match", "a CSV file after RFC 4180");
    } else if (e instanceof LongRow) {
      problems.add(0, "", "a row without end", "rows of at most " + LONGEST_ROW + " characters");
    } else if (e instanceof ManyLines) {
      problems.add(0, "", "more lines", "at most " + MOST_ROWS + " rows");
    } else {
      throw e;
    }
  }

  private void rows(BufferedReader reader) throws IOException {
    String header = reader.readLine();
    if (header == null || header.isBlank()) {
      problems.add(1, "", "an empty file", "a header row such as elapsed_s,gauge_kpa");
      return;
    }
    separator = header.indexOf(';') >= 0 ? ';' : ',';
    if (!header(header)) {
      return;
    }
    CSVFormat format =
        CSVFormat.RFC4180.builder().setDelimiter(separator).setIgnoreEmptyLines(true).get();
    try (CSVParser parser = format.parse(reader)) {
      for (CSVRecord row : parser) {
        if (row.getRecordNumber() > MOST_ROWS) {
          problems.add(
              row.getRecordNumber() + 1, "", "more rows", "at most " + MOST_ROWS + " rows");
          return;
        }
        row(row, parser.getCurrentLineNumber() + 1);
        if (problems.hopeless()) {
          return;
        }
      }
    }
    if (readings == 0 && problems.isEmpty()) {
      problems.add(2, "", "no reading", "at least one row with time and pressure");
    }
  }

  private boolean header(String header) {
    String[] names = header.split(Pattern.quote(String.valueOf(separator)), -1);
    for (int i = 0; i < names.length; i++) {
      String name = names[i].strip().replace("\"", "").toLowerCase(Locale.ROOT);
      if (!COLUMNS.contains(name)) {
        problems.add(
            1,
            "column " + (i + 1),
            names[i],
            "a known column, nearest: " + Nearest.to(name, COLUMNS));
      } else if (columns.putIfAbsent(name, i) != null) {
        problems.add(1, "column " + (i + 1), names[i], "each column once");
      }
    }
    requireOne("elapsed_s", "time");
    requireOne("gauge_kpa", "gauge_psi", "gauge_bar");
    if (columns.containsKey("coolant_c") && columns.containsKey("coolant_f")) {
      problems.add(1, "", "coolant_c and coolant_f", "one column of temperature");
    }
    return problems.isEmpty();
  }

  private void requireOne(String... alternatives) {
    List<String> present = new ArrayList<>();
    for (String name : alternatives) {
      if (columns.containsKey(name)) {
        present.add(name);
      }
    }
    if (present.size() != 1) {
      problems.add(
          1,
          "",
          present.isEmpty() ? "no such column" : String.join(" and ", present),
          "one of " + String.join(", ", alternatives));
    }
  }

  /** Whether a time follows the ones before it; if not, the problem is told. */
  private boolean follows(double t, CSVRecord row, long line) {
    if (t <= lastSeconds) {
      problems.add(line, timeColumn(), cell(row, timeColumn()), "a time later than the row before");
      return false;
    }
    firstSeconds = Double.isNaN(firstSeconds) ? t : firstSeconds;
    if (!Range.TRACE_CLOCK.holds(t) || !Range.TRACE_LENGTH.holds(t - firstSeconds)) {
      problems.add(
          line,
          timeColumn(),
          cell(row, timeColumn()),
          "a time at most 31 days after the first one");
      return false;
    }
    lastSeconds = t;
    return true;
  }

  private void row(CSVRecord row, long line) {
    if (row.size() != columns.size()) {
      problems.add(line, "", cells(row), cellsExpected(row));
      return;
    }
    OptionalDouble seconds = seconds(row, line);
    String gaugeColumn =
        GAUGES.keySet().stream().filter(columns::containsKey).findFirst().orElseThrow();
    String gauge = cell(row, gaugeColumn);
    String event = cell(row, "event");
    OptionalDouble pressure =
        gauge.isEmpty() && !event.isEmpty()
            ? OptionalDouble.empty()
            : pressure(gauge, line, gaugeColumn);
    OptionalDouble temperature = temperature(row, line);
    if (seconds.isEmpty()) {
      return;
    }
    double t = seconds.getAsDouble();
    if (!event.isEmpty()) {
      event(event, t, line);
    }
    if (!follows(t, row, line)) {
      return;
    }
    if (pressure.isPresent() && problems.isEmpty()) {
      trace.reading(t, pressure.getAsDouble(), temperature.orElse(Double.NaN));
      readings++;
    }
  }

  private static String cells(CSVRecord row) {
    return row.size() + " cells: " + String.join(" | ", row);
  }

  private String cellsExpected(CSVRecord row) {
    boolean decimalComma = separator == ',' && row.size() > columns.size();
    return columns.size()
        + " cells as in the header"
        + (decimalComma ? "; decimal commas need semicolons between the cells" : "");
  }

  /** A gauge pressure (kPa), within what a gauge can show. */
  private OptionalDouble pressure(String text, long line, String column) {
    OptionalDouble value = number(text, line, column, "a pressure");
    if (value.isEmpty()) {
      return value;
    }
    PressureUnit unit = Objects.requireNonNull(GAUGES.get(column));
    double kilopascals = value.getAsDouble() * unit.kilopascals();
    if (!Range.GAUGE.holds(kilopascals)) {
      problems.add(
          line,
          column,
          text,
          String.format(
              Locale.ROOT,
              "a pressure from %.1f to %.0f %s",
              Range.GAUGE.low() / unit.kilopascals(),
              Range.GAUGE.high() / unit.kilopascals(),
              unit.symbol()));
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(kilopascals);
  }

  private String timeColumn() {
    return columns.containsKey("time") ? "time" : "elapsed_s";
  }

  private OptionalDouble seconds(CSVRecord row, long line) {
    if (columns.containsKey("elapsed_s")) {
      return number(cell(row, "elapsed_s"), line, "elapsed_s", "seconds");
    }
    String text = cell(row, "time");
    try {
      Instant instant = Instant.parse(text);
      if (firstInstant == null) {
        firstInstant = instant;
      }
      // in seconds and their rest: the nanoseconds of two thousand years are more than a long holds
      Duration since = Duration.between(firstInstant, instant);
      return OptionalDouble.of(since.getSeconds() + since.getNano() / 1e9);
    } catch (DateTimeParseException e) {
      problems.add(line, "time", text, "an instant such as 2026-05-04T09:30:00Z");
      return OptionalDouble.empty();
    }
  }

  private OptionalDouble temperature(CSVRecord row, long line) {
    String column = columns.containsKey("coolant_f") ? "coolant_f" : "coolant_c";
    String text = cell(row, column);
    if (text.isEmpty()) {
      return OptionalDouble.empty();
    }
    OptionalDouble value = number(text, line, column, "a temperature");
    if (value.isEmpty()) {
      return value;
    }
    TemperatureUnit unit =
        column.equals("coolant_f") ? TemperatureUnit.FAHRENHEIT : TemperatureUnit.CELSIUS;
    double celsius = unit.celsius(value.getAsDouble());
    if (!Range.COOLANT.holds(celsius)) {
      problems.add(line, column, text, "a temperature between -60 and 160 \u00b0C");
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(celsius);
  }

  private void event(String text, double seconds, long line) {
    String[] parts = text.split(":", 2);
    Optional<TraceEvent.Kind> kind =
        Worded.of(TraceEvent.Kind.class, parts[0].strip().toLowerCase(Locale.ROOT));
    if (kind.isEmpty()) {
      List<String> words = new ArrayList<>();
      for (TraceEvent.Kind k : TraceEvent.Kind.values()) {
        words.add(k.word());
      }
      problems.add(line, "event", text, "a known event, nearest: " + Nearest.to(parts[0], words));
      return;
    }
    if (++events > MOST_EVENTS) {
      problems.add(line, "event", "more events", "at most " + MOST_EVENTS + " in a trace");
      return;
    }
    OptionalDouble volume = OptionalDouble.empty();
    if (kind.get() == TraceEvent.Kind.DRAW) {
      volume =
          number(parts.length > 1 ? parts[1].strip() : "", line, "event", "a volume: draw:20 (mL)");
      if (volume.isEmpty()) {
        return;
      }
      if (!Range.DRAW.holds(volume.getAsDouble())) {
        problems.add(
            line, "event", text, "a volume from " + Range.DRAW.low() + " to 5000 mL: draw:20");
        return;
      }
    }
    trace.event(new TraceEvent(seconds, kind.get(), volume));
  }

  /** A decimal comma is one only where semicolons stand between the cells. */
  private OptionalDouble number(String text, long line, String column, String expected) {
    String point = separator == ';' ? text.replace(',', '.') : text;
    if (NUMBER.matcher(point).matches()) {
      double value = Double.parseDouble(point);
      if (Double.isFinite(value)) {
        return OptionalDouble.of(value);
      }
    }
    problems.add(line, column, text, expected + " as a number");
    return OptionalDouble.empty();
  }

  private String cell(CSVRecord row, String column) {
    Integer index = columns.get(column);
    return index == null || index >= row.size() ? "" : row.get(index).strip();
  }
}
