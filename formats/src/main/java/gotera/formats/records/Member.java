package gotera.formats.records;

import gotera.range.Range;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * A member of a record.
 *
 * @param table the records it belongs to
 * @param name its name
 * @param kind what it holds
 * @param of what of that: words, a range, the most letters, the records it refers to
 * @param needed whether it must be there
 */
public record Member(String table, String name, Kind kind, String of, boolean needed) {
  /** Moments of records (our judgement): before them no workshop wrote any. */
  private static final LocalDateTime EARLIEST = LocalDateTime.of(1990, 1, 1, 0, 0);

  /** Behind it a clock went wrong (our judgement): waits end within a month, links within years. */
  private static final LocalDateTime LATEST = LocalDateTime.of(2100, 1, 1, 0, 0);

  private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");
  private static final Pattern CONTROL = Pattern.compile("[\\p{Cc}&&[^\\n\\r\\t]]");

  /** What a member holds. */
  public enum Kind {
    /** Its own identifier. */
    ID,
    /** The identifier of another record in the file. */
    OF,
    /** One of some words. */
    WORD,
    /** Text of so many letters. */
    TEXT,
    /** A number in a range. */
    NUMBER,
    /** A whole number from..to. */
    WHOLE,
    /** 1 or 0. */
    YES_NO,
    /** A moment in UTC. */
    MOMENT,
    /** A day. */
    DAY,
    /** SHA-256 in hexadecimal digits. */
    HASH,
    /** Bytes in base 64. */
    BYTES,
    /** The name of a file beside the records. */
    FILE;

    static Kind of(String word) {
      return valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'));
    }
  }

  /** What is expected, where a value is not that; empty where it is. */
  public Optional<String> wrong(JsonNode value) {
    if (value.isNull() || value.isMissingNode()) {
      return needed ? Optional.of(expected()) : Optional.empty();
    }
    return fits(value) ? Optional.empty() : Optional.of(expected());
  }

  private boolean fits(JsonNode value) {
    return switch (kind) {
      case NUMBER -> value.isNumber() && inRange(value.asDouble());
      case WHOLE -> value.isIntegralNumber() && value.canConvertToLong() && inRange(value.asLong());
      case YES_NO ->
          value.isBoolean()
              || value.isIntegralNumber() && (value.asLong() == 0 || value.asLong() == 1);
      case ID, OF, WORD, TEXT, MOMENT, DAY, HASH, BYTES, FILE ->
          value.isString() && fits(value.asString());
    };
  }

  private boolean fits(String text) {
    return switch (kind) {
      case ID, OF -> isIdentifier(text);
      case WORD -> words().contains(text);
      case TEXT -> text.length() <= most() && !CONTROL.matcher(text).find();
      case MOMENT -> isMoment(text);
      case DAY -> isDay(text);
      case HASH -> HASH.matcher(text).matches();
      case BYTES -> isBase64(text);
      case FILE -> !text.isBlank();
      case NUMBER, WHOLE, YES_NO -> false;
    };
  }

  /** The words it may hold. */
  List<String> words() {
    return Arrays.asList(of.split("\\|", -1));
  }

  private int most() {
    return Integer.parseInt(of);
  }

  private boolean inRange(double value) {
    return value >= low() && value <= high();
  }

  /** Lowest value of a number. */
  double low() {
    return isLiteral() ? Double.parseDouble(of.split("\\.\\.")[0]) : Range.valueOf(of).low();
  }

  /** Highest value of a number. */
  double high() {
    return isLiteral() ? Double.parseDouble(of.split("\\.\\.")[1]) : Range.valueOf(of).high();
  }

  private boolean isLiteral() {
    return of.contains("..");
  }

  private static boolean isIdentifier(String text) {
    try {
      return UUID.fromString(text).toString().equalsIgnoreCase(text);
    } catch (IllegalArgumentException e) {
      return false;
    }
  }

  private static boolean isMoment(String text) {
    try {
      LocalDateTime moment =
          LocalDateTime.parse(text.replace(' ', 'T'), DateTimeFormatter.ISO_LOCAL_DATE_TIME);
      return !moment.isBefore(EARLIEST) && moment.isBefore(LATEST);
    } catch (DateTimeException e) {
      return false;
    }
  }

  private static boolean isDay(String text) {
    try {
      LocalDateTime day = LocalDate.parse(text).atStartOfDay();
      return !day.isBefore(EARLIEST) && day.isBefore(LATEST);
    } catch (DateTimeException e) {
      return false;
    }
  }

  private static boolean isBase64(String text) {
    try {
      return Base64.getDecoder().decode(text.getBytes(StandardCharsets.US_ASCII)).length > 0;
    } catch (IllegalArgumentException e) {
      return false;
    }
  }

  /** What it should hold, in words. */
  public String expected() {
    return switch (kind) {
      case ID -> "an identifier";
      case OF -> "the identifier of another record";
      case WORD ->
          "one of: "
              + String.join(", ", words().stream().map(w -> w.isEmpty() ? "nothing" : w).toList());
      case TEXT -> "text of at most " + of + " letters";
      case NUMBER -> "a number from " + plain(low()) + " to " + plain(high());
      case WHOLE -> "a whole number from " + plain(low()) + " to " + plain(high());
      case YES_NO -> "1 or 0";
      case MOMENT -> "a moment from 1990 on, as 2026-12-01 07:30:00";
      case DAY -> "a day from 1990 on, as 2026-12-01";
      case HASH -> "64 hexadecimal digits";
      case BYTES -> "bytes in base 64";
      case FILE -> "the name of a file that comes with it";
    };
  }

  private static String plain(double number) {
    return new BigDecimal(Double.toString(number)).stripTrailingZeros().toPlainString();
  }
}
