package gotera.web.figures;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A table as CSV (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe
 * before it, so that it stays a text (OWASP, CSV injection).
 */
public final class Table {
  private static final String FORMULA = "=+-@\t\r\n\uff1d\uff0b\uff0d\uff20";

  private final StringBuilder text = new StringBuilder();
  private final CSVPrinter printer;

  /** A table with these columns. */
  public Table(String... columns) {
    try {
      printer = new CSVPrinter(text, CSVFormat.RFC4180);
      printer.printRecord((Object[]) columns);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Adds a row. */
  public void row(List<String> cells) {
    try {
      printer.printRecord(cells.stream().map(Table::harmless).toList());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static String harmless(String cell) {
    boolean number = cell.matches("-?\\d+(\\.\\d+)?");
    return cell.isEmpty() || number || FORMULA.indexOf(cell.charAt(0)) < 0 ? cell : "'" + cell;
  }

  @Override
  public String toString() {
    return text.toString();
  }
}
