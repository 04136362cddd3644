package gotera.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Where the truth lies in what the verdicts say of it, as a picture: for each kind of vehicle the
 * share of truths in each tenth of the distribution that rate and uncertainty give. Even bars are
 * what they should be; high at the ends says that the intervals are too narrow, high in the middle
 * that they are wide.
 */
final class CoveragePicture {
  /** Points that part the standard normal distribution into tenths. */
  private static final double[] TENTHS = {
    -1.281552, -0.841621, -0.524401, -0.253347, 0, 0.253347, 0.524401, 0.841621, 1.281552
  };

  private static final int BARS = TENTHS.length + 1;
  private static final double WIDTH = 150;
  private static final double HEIGHT = 54;
  private static final double LEFT = 260;
  private static final double ROW = 74;
  private static final double TOP = 40;

  /** A bar of this share reaches the top. */
  private static final double HIGHEST = 0.3;

  private final List<String> ways;
  private final List<Row> rows = new ArrayList<>();

  /** A kind and its shares, a list for each way. */
  private record Row(String kind, List<double[]> shares) {}

  CoveragePicture(List<String> ways) {
    this.ways = List.copyOf(ways);
  }

  /** Adds the truths of one kind, held one way after another. */
  void add(String kind, List<List<SimulatedTest>> held) {
    rows.add(new Row(kind, held.stream().map(CoveragePicture::shares).toList()));
  }

  /** Shares of the truths in each tenth. */
  static double[] shares(List<SimulatedTest> tests) {
    double[] shares = new double[BARS];
    long counted = tests.stream().filter(SimulatedTest::hasRate).count();
    tests.stream()
        .filter(SimulatedTest::hasRate)
        .mapToDouble(t -> t.off().getAsDouble())
        .forEach(z -> shares[tenth(z)] += 1.0 / counted);
    return shares;
  }

  private static int tenth(double z) {
    int i = 0;
    while (i < TENTHS.length && z > TENTHS[i]) {
      i++;
    }
    return i;
  }

  String svg() {
    double width = LEFT + ways.size() * (WIDTH + 30);
    double height = TOP + rows.size() * ROW + 10;
    StringBuilder svg = new StringBuilder();
    svg.append(
        text(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\" role=\"img\""
                + " aria-label=\"Share of truths in each tenth of what was said of them\""
                + " font-family=\"sans-serif\" font-size=\"12\">%n"
                + "<rect width=\"%.0f\" height=\"%.0f\" fill=\"#fff\"/>%n",
            width, height, width, height));
    for (int w = 0; w < ways.size(); w++) {
      svg.append(text("<text x=\"%.0f\" y=\"22\">%s</text>%n", left(w), ways.get(w)));
    }
    for (int r = 0; r < rows.size(); r++) {
      double base = TOP + r * ROW + HEIGHT;
      svg.append(text("<text x=\"8\" y=\"%.0f\">%s</text>%n", base - 20, rows.get(r).kind()));
      for (int w = 0; w < ways.size(); w++) {
        bars(svg, left(w), base, rows.get(r).shares().get(w));
      }
    }
    return svg.append("</svg>\n").toString();
  }

  private static double left(int way) {
    return LEFT + way * (WIDTH + 30);
  }

  private static void bars(StringBuilder svg, double left, double base, double[] shares) {
    double bar = WIDTH / BARS;
    for (int i = 0; i < BARS; i++) {
      double tall = HEIGHT * Math.min(1, shares[i] / HIGHEST);
      svg.append(
          text(
              "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" fill=\"#6f8f89\"/>%n",
              left + i * bar + 1, base - tall, bar - 2, tall));
    }
    double even = base - HEIGHT / BARS / HIGHEST;
    svg.append(
        text(
            "<path d=\"M%.1f,%.1f h%.1f M%.1f,%.1f h%.1f\" stroke=\"#1f2a2a\" fill=\"none\"/>%n",
            left, base, WIDTH, left, even, WIDTH));
  }

  private static String text(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
