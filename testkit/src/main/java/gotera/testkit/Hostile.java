package gotera.testkit;

import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * What somebody might type, or a broken file might hold: slips of finger, unit and decimal point,
 * and what is meant to do harm. Seeded, so that a case can be had again.
 */
public final class Hostile {
  private static final List<String> TEXTS =
      List.of(
          "",
          " ",
          "-",
          "0",
          "-0",
          "00",
          "1e300",
          "1e308",
          "-1e308",
          "9".repeat(400),
          "NaN",
          "Infinity",
          "0x1p3",
          "1,200",
          "1.200,5",
          "1 200",
          "½",
          "１２",
          "١٢",
          "1..2",
          "1-2",
          "+-3",
          "--4",
          "14 bar",
          "140 psi",
          "0.0001",
          "999999999999",
          "null",
          "true",
          "\u0000",
          "a\u0000b",
          "\ufeff12",
          "\ud83d\ude97",
          "\ud83d",
          "<script>alert(1)</script>",
          "' or 1=1 --",
          "${7*7}",
          "{1}",
          "%s%n",
          "../../etc/passwd",
          "=cmd()",
          "a\r\nb: c",
          "\u202e12",
          "12\u00a0kPa",
          "x".repeat(5000));

  private Hostile() {}

  /** One of the texts, or a number of any size. */
  public static String text(Random random) {
    return random.nextInt(3) == 0 ? number(random) : TEXTS.get(random.nextInt(TEXTS.size()));
  }

  /** A number as text, of any size and sign. */
  public static String number(Random random) {
    double value =
        Math.pow(10, Seeds.between(random, -4, random.nextInt(6) == 0 ? 300 : 5))
            * (random.nextInt(6) == 0 ? -1 : 1);
    return random.nextBoolean()
        ? String.format(Locale.ROOT, "%.3f", value)
        : Double.toString(value);
  }

  /** All of the texts. */
  public static List<String> texts() {
    return TEXTS;
  }
}
