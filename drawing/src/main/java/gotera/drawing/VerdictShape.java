package gotera.drawing;

import gotera.pressure.verdict.VerdictKind;
import java.util.Locale;

/** The shape of a verdict: told apart without colour. */
public final class VerdictShape {
  private static final double RADIUS = 18;
  private static final double ROUND = 2 * Math.PI * RADIUS;

  /** What is missing of a proof of which nobody knows how far it got (1). */
  public static final double MOST_MISSING = 0.8;

  private VerdictShape() {}

  /**
   * The shape.
   *
   * @param kind the verdict
   * @param missing share of a proof that is missing, 0 to 1: the gap of the ring where nothing is
   *     proven
   */
  public static String of(VerdictKind kind, double missing) {
    return of(kind, missing, "");
  }

  /** The same with a name, for where no words stand beside it that a reader could hear. */
  public static String of(VerdictKind kind, double missing, String name) {
    Svg svg = Svg.open(48, 48, "shape shape-" + kind.word(), name);
    switch (kind) {
      case TIGHT -> svg.circle(24, 24, RADIUS, "shape-ring");
      case LEAK -> drop(svg, 24, 24, 1);
      case GROSS -> {
        drop(svg, 15, 21, 0.78);
        drop(svg, 33, 27, 0.78);
      }
      case NOT_PROVEN -> ring(svg, missing);
      case NOT_COUNTED -> {
        svg.circle(24, 24, RADIUS, "shape-ring");
        svg.line(9, 39, 39, 9, "shape-strike");
      }
      case STOPPED -> {
        svg.path("M24,44 L8,14 h32z", "shape-solid");
        svg.circle(24, 21, 4, "shape-hole");
      }
    }
    return svg.close();
  }

  /** The shape of a hold that runs: a ring that fills with time, here a share of it. */
  public static String running(double share) {
    Svg svg = Svg.open(48, 48, "shape shape-running", "");
    svg.circle(24, 24, RADIUS, "shape-track");
    arc(svg, Math.max(0.02, Math.min(1, share)), "shape-ring");
    return svg.close();
  }

  private static void ring(Svg svg, double missing) {
    svg.circle(24, 24, RADIUS, "shape-track");
    arc(svg, 1 - Math.max(0.12, Math.min(0.85, missing)), "shape-ring");
  }

  private static void arc(Svg svg, double share, String styleClass) {
    svg.raw(
        String.format(
            Locale.ROOT,
            "<circle cx=\"24\" cy=\"24\" r=\"%.1f\" class=\"%s\" stroke-dasharray=\"%.1f %.1f\" "
                + "transform=\"rotate(-90 24 24)\"/>",
            RADIUS,
            styleClass,
            share * ROUND,
            ROUND));
  }

  private static void drop(Svg svg, double x, double y, double scale) {
    svg.raw(
        String.format(
            Locale.ROOT,
            "<path transform=\"translate(%.1f,%.1f) scale(%.2f)\" class=\"shape-solid\" "
                + "d=\"M0,-21 C10,-6 15,1 15,7 A15,15 0 0 1 -15,7 C-15,1 -10,-6 0,-21z\"/>",
            x,
            y,
            scale));
  }
}
