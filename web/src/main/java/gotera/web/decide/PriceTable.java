package gotera.web.decide;

import gotera.decide.RepairKind;
import gotera.decide.Shop.Price;
import gotera.quantity.Typed;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Understood;
import gotera.range.Range;
import gotera.web.figures.Table;
import gotera.word.Worded;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;

/** The shop's prices as a table (CSV): kind, parts, hours, days, note; empty where nobody knows. */
final class PriceTable {
  private static final String KIND = "kind";
  private static final String PARTS = "parts";
  private static final String HOURS = "hours";
  private static final String DAYS = "days";
  private static final String NOTE = "note";
  private static final List<String> NEEDED = List.of(KIND, PARTS, HOURS, DAYS);
  private static final int LONGEST_NOTE = 200;
  private static final int MOST_ROWS = 1000;

  private final Map<RepairKind, Price> prices = new EnumMap<>(RepairKind.class);
  private final List<Problem> problems = new ArrayList<>();

  private PriceTable() {}

  /**
   * What is wrong in a row.
   *
   * @param row its number, from 1 with the heading
   * @param what the cell that is wrong
   */
  record Problem(long row, String what) {}

  static String write(Map<RepairKind, Price> prices) {
    Table table = new Table(KIND, PARTS, HOURS, DAYS, NOTE);
    prices.forEach(
        (kind, p) ->
            table.row(
                List.of(kind.word(), cell(p.parts()), cell(p.hours()), cell(p.days()), p.note())));
    return table.toString();
  }

  private static String cell(OptionalDouble value) {
    return value.isPresent() ? Double.toString(value.getAsDouble()) : "";
  }

  /** Reads all of it; with any problem nothing of it is to be kept. */
  static PriceTable read(String text) {
    PriceTable table = new PriceTable();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
            .get();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      if (!parser.getHeaderNames().containsAll(NEEDED)) {
        table.problems.add(new Problem(1, String.join(",", NEEDED)));
        return table;
      }
      for (CSVRecord row : parser) {
        if (row.getRecordNumber() > MOST_ROWS) {
          table.problems.add(new Problem(row.getRecordNumber() + 1, KIND));
          break;
        }
        table.row(row);
      }
    } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
      table.problems.add(new Problem(1, String.valueOf(e.getMessage())));
    }
    return table;
  }

  private void row(CSVRecord row) {
    Worded.of(RepairKind.class, text(row, KIND))
        .ifPresentOrElse(
            kind ->
                prices.put(
                    kind,
                    new Price(
                        number(row, PARTS, Range.PRICE),
                        number(row, HOURS, Range.LABOUR),
                        number(row, DAYS, Range.DELIVERY),
                        note(row))),
            () -> problems.add(new Problem(row.getRecordNumber() + 1, text(row, KIND))));
  }

  private String note(CSVRecord row) {
    String note = text(row, NOTE);
    if (note.length() > LONGEST_NOTE) {
      problems.add(new Problem(row.getRecordNumber() + 1, NOTE));
    }
    return note;
  }

  private OptionalDouble number(CSVRecord row, String column, Range range) {
    String typed = text(row, column);
    if (typed.isEmpty()) {
      return OptionalDouble.empty();
    }
    Understanding<Double> read = Typed.number(typed, range.unit());
    if (read instanceof Understood<Double> understood && range.holds(understood.value())) {
      return OptionalDouble.of(understood.value());
    }
    problems.add(new Problem(row.getRecordNumber() + 1, column + " " + typed));
    return OptionalDouble.empty();
  }

  private static String text(CSVRecord row, String column) {
    return row.isMapped(column) && row.isSet(column) ? row.get(column).strip() : "";
  }

  Map<RepairKind, Price> prices() {
    return prices;
  }

  List<Problem> problems() {
    return problems;
  }
}
