package gotera.drawing;

import gotera.balance.LeakBalance;
import java.util.Locale;

/**
 * The leak balance as one bar: as long as the measured rate, filled by the sites that explain it,
 * the hatched rest unexplained.
 */
public final class BalanceBar {
  private static final double WIDTH = 280;
  private static final double HEIGHT = 34;
  private static final double NARROWEST_LABEL = 34;

  private BalanceBar() {}

  /**
   * The bar.
   *
   * @param balance the balance
   * @param name what is read aloud
   * @param notFound the word for the unexplained rest
   */
  public static String of(LeakBalance balance, String name, String notFound) {
    Svg svg = Svg.open(WIDTH, HEIGHT, "balance", name);
    svg.raw(
        "<defs><pattern id=\"hatch\" width=\"8\" height=\"8\" patternUnits=\"userSpaceOnUse\" "
            + "patternTransform=\"rotate(45)\"><rect width=\"2.5\" height=\"8\" "
            + "class=\"balance-hatch\"/></pattern></defs>");
    double explained = balance.explained().stream().mapToDouble(Double::doubleValue).sum();
    double whole = Math.max(Math.max(balance.rate(), explained), 1e-9);
    double x = 1;
    double scale = (WIDTH - 2) / whole;
    int n = 0;
    for (double site : balance.explained()) {
      double length = site * scale;
      svg.rect(x, 1, length, HEIGHT - 2, 0, n++ % 2 == 0 ? "balance-site" : "balance-site-2");
      if (length > NARROWEST_LABEL) {
        svg.text(x + length / 2, 22, "middle", "balance-label", figure(site));
      }
      x += length;
    }
    double rest = balance.unexplained() * scale;
    if (rest > 1) {
      svg.raw(
          "<rect x=\"%s\" y=\"1\" width=\"%s\" height=\"%s\" fill=\"url(#hatch)\"/>"
              .formatted(Svg.number(x), Svg.number(rest), Svg.number(HEIGHT - 2)));
      String label = figure(balance.unexplained()) + " " + notFound;
      if (rest > 7.5 * label.length()) {
        svg.text(x + rest / 2, 22, "middle", "balance-label balance-rest", label);
      }
    }
    svg.rect(1, 1, WIDTH - 2, HEIGHT - 2, 7, "balance-frame");
    return svg.close();
  }

  private static String figure(double rate) {
    return String.format(Locale.ROOT, rate < 9.95 ? "%.2f" : "%.0f", rate);
  }
}
