package gotera.formats;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Temperature;
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
  private double lastSeconds = Double.NEGATIVE_INFINITY;
  private @Nullable Instant firstInstant;
  private int readings;

  private TraceCsv() {}

  /** A row beyond all measure. */
  private static final class LongRow extends IOException {
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
        length = into[i] == '\n' && !quoted ? 0 : length + 1;
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
    if (e instanceof CharacterCodingException) {
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
    if (header.indexOf('\0') >= 0) {
      problems.add(1, "", "bytes that are no text", "a CSV file in UTF-8");
      return;
    }
    char separator = header.indexOf(';') >= 0 ? ';' : ',';
    if (!header(header, separator)) {
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

  private boolean header(String header, char separator) {
    String[] names = header.split(java.util.regex.Pattern.quote(String.valueOf(separator)), -1);
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

  private void row(CSVRecord row, long line) {
    OptionalDouble seconds = seconds(row, line);
    String gaugeColumn =
        GAUGES.keySet().stream().filter(columns::containsKey).findFirst().orElseThrow();
    String gauge = cell(row, gaugeColumn);
    String event = cell(row, "event");
    OptionalDouble pressure =
        gauge.isEmpty() && !event.isEmpty()
            ? OptionalDouble.empty()
            : number(gauge, line, gaugeColumn, "a pressure");
    OptionalDouble temperature = temperature(row, line);
    if (seconds.isEmpty()) {
      return;
    }
    double t = seconds.getAsDouble();
    if (!event.isEmpty()) {
      event(event, t, line);
    }
    if (t <= lastSeconds) {
      problems.add(line, timeColumn(), cell(row, timeColumn()), "a time later than the row before");
      return;
    }
    lastSeconds = t;
    if (pressure.isPresent() && problems.isEmpty()) {
      PressureUnit unit = java.util.Objects.requireNonNull(GAUGES.get(gaugeColumn));
      trace.reading(
          t,
          GaugePressure.of(pressure.getAsDouble(), unit).kilopascals(),
          temperature.orElse(Double.NaN));
      readings++;
    }
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
      return OptionalDouble.of(Duration.between(firstInstant, instant).toNanos() / 1e9);
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
    double celsius =
        column.equals("coolant_f")
            ? Temperature.ofFahrenheit(Math.max(-400, value.getAsDouble())).celsius()
            : value.getAsDouble();
    if (celsius < -60 || celsius > 160) {
      problems.add(line, column, text, "a temperature between -60 and 160 \u00b0C");
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(celsius);
  }

  private void event(String text, double seconds, long line) {
    String[] parts = text.split(":", 2);
    Optional<TraceEvent.Kind> kind = TraceEvent.Kind.of(parts[0].strip().toLowerCase(Locale.ROOT));
    if (kind.isEmpty()) {
      List<String> words = new ArrayList<>();
      for (TraceEvent.Kind k : TraceEvent.Kind.values()) {
        words.add(k.word());
      }
      problems.add(line, "event", text, "a known event, nearest: " + Nearest.to(parts[0], words));
      return;
    }
    OptionalDouble volume = OptionalDouble.empty();
    if (kind.get() == TraceEvent.Kind.DRAW) {
      volume =
          number(parts.length > 1 ? parts[1].strip() : "", line, "event", "a volume: draw:20 (mL)");
      if (volume.isEmpty()) {
        return;
      }
    }
    trace.event(new TraceEvent(seconds, kind.get(), volume));
  }

  private OptionalDouble number(String text, long line, String column, String expected) {
    try {
      double value = Double.parseDouble(text.replace(',', '.'));
      if (Double.isFinite(value)) {
        return OptionalDouble.of(value);
      }
    } catch (NumberFormatException e) {
      // falls through: the problem names what was found
    }
    problems.add(line, column, text, expected + " as a number");
    return OptionalDouble.empty();
  }

  private String cell(CSVRecord row, String column) {
    Integer index = columns.get(column);
    return index == null || index >= row.size() ? "" : row.get(index).strip();
  }
}
