package gotera.dial;

import gotera.dial.DialReading.NotRead;
import gotera.dial.DialReading.Read;
import gotera.dial.DialReading.Why;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Finds where a needle points.
 *
 * <p>The picture is unwrapped around the centre: a ring for each distance, between where a
 * counterweight ends and where print begins. On each ring the light of the surroundings is taken
 * off, so that uneven light does not count; what is left at an angle on all rings together is a
 * needle, darker or lighter than its face. Around the strongest angle the needle's middle is found
 * on every ring, and a straight line is laid through these points by least squares, those far off
 * it counting less (P. J. Huber, Ann. Math. Stat. 35 (1964) 73). Its direction, not its place, is
 * what the needle shows, so that a centre touched a little beside does no harm.
 *
 * <p>Whatever a needle does not do is a reason not to read it: another line as strong, a part
 * without it, a smear, reflected light. And to both sides of it the face must look as it did on the
 * still on which it was touched: the gap between two fingers is a line too. The figures were chosen
 * on drawn dials (our judgement, tested on those only).
 */
public final class NeedleFinder {
  private static final int ANGLES = 720;
  private static final double FROM = 0.32; // of the radius
  private static final double TO = 0.64; // of the radius
  private static final double SURROUNDINGS = Math.toRadians(32);
  private static final double CORE = Math.toRadians(9);
  private static final double NEAR = Math.toRadians(9);
  private static final double SAME = Math.toRadians(14);
  private static final double LEAST_CONTRAST = 0.06; // of white
  private static final double LEAST_OVER_NOISE = 5;
  private static final double MOST_SECOND = 0.6; // of the strongest
  private static final double LEAST_SUPPORT = 0.75; // of the rings
  private static final double CLIPS = 0.45; // of white
  private static final double WIDEST = Math.toRadians(4.6);
  private static final double WHITE = 0.985;
  private static final double MOST_WHITE = 0.25;
  private static final double MOST_ASIDE = 0.075; // of the radius
  private static final double MOST_BENT = 0.02; // of the radius

  private static final double SIDE_FROM = Math.toRadians(8);
  private static final double SIDE_TO = Math.toRadians(26);
  private static final double MOST_CHANGED = 0.09; // of white

  /** Marks are touched, and a dial between them is even, to so much (rad). */
  private static final double TOUCHED = Math.toRadians(0.7);

  /** Of two marks only, held askew by up to 20 degrees, nobody knows how it is turned (rad). */
  private static final double TOUCHED_TWICE = Math.toRadians(1.1);

  private final Dial dial;
  private final double[] radii;
  private final double[][] still;

  /**
   * A finder for a dial without a problem.
   *
   * @param seen the still on which it was touched, with nothing before it
   */
  public NeedleFinder(Dial dial, Picture seen) {
    dial.problem()
        .ifPresent(
            p -> {
              throw new IllegalArgumentException("a dial with a problem: " + p);
            });
    this.dial = dial;
    double radius = dial.radius();
    int rings = (int) Math.ceil((TO - FROM) * radius);
    radii = new double[rings];
    for (int j = 0; j < rings; j++) {
      radii[j] = radius * (FROM + (TO - FROM) * j / (rings - 1));
    }
    still = unwrapped(seen);
  }

  private static double angle(int a) {
    return 2 * Math.PI * a / ANGLES;
  }

  private static int index(double angle) {
    return (int) Math.round(angle / (2 * Math.PI) * ANGLES);
  }

  private static int around(int a) {
    return ((a % ANGLES) + ANGLES) % ANGLES;
  }

  /** Reads the needle, or says why not. */
  public DialReading read(Picture picture) {
    double[][] light = unwrapped(picture);
    double[][] stands = new double[radii.length][];
    for (int j = 0; j < radii.length; j++) {
      stands[j] = standsOut(light[j]);
    }
    double[] all = together(stands);
    int strongest = strongest(all);
    double sign = Math.signum(all[strongest]);
    double contrast = Math.abs(all[strongest]);
    double noise = noise(all);
    if (white(light, strongest) > MOST_WHITE) {
      return new NotRead(Why.GLARE);
    }
    if (contrast < LEAST_CONTRAST || contrast < LEAST_OVER_NOISE * noise) {
      return new NotRead(Why.NO_NEEDLE);
    }
    if (second(all, strongest) > MOST_SECOND * contrast) {
      return new NotRead(Why.TWO_NEEDLES);
    }
    if (changed(light, strongest)) {
      return new NotRead(Why.HIDDEN);
    }
    return along(stands, strongest, sign, contrast);
  }

  private double[][] unwrapped(Picture picture) {
    double[][] light = new double[radii.length][ANGLES];
    for (int a = 0; a < ANGLES; a++) {
      double cos = Math.cos(angle(a));
      double sin = Math.sin(angle(a));
      for (int j = 0; j < radii.length; j++) {
        light[j][a] = picture.at(dial.x() + radii[j] * cos, dial.y() + radii[j] * sin);
      }
    }
    return light;
  }

  /** How much each angle of a ring differs from what is to both sides of it. */
  private static double[] standsOut(double[] ring) {
    double[] sums = new double[2 * ANGLES + 1];
    for (int i = 0; i < 2 * ANGLES; i++) {
      sums[i + 1] = sums[i] + ring[i % ANGLES];
    }
    int wide = index(SURROUNDINGS);
    int core = index(CORE);
    double[] out = new double[ANGLES];
    for (int a = 0; a < ANGLES; a++) {
      int middle = a < wide ? a + ANGLES : a;
      int end = Math.min(2 * ANGLES, middle + wide);
      double before = (sums[middle - core] - sums[middle - wide]) / (wide - core);
      double after = (sums[end] - sums[middle + core]) / Math.max(1, end - middle - core);
      double differs = ring[a] - (before + after) / 2;
      out[a] = Math.max(-CLIPS, Math.min(CLIPS, differs));
    }
    return out;
  }

  private static double[] together(double[][] stands) {
    double[] mean = new double[ANGLES];
    double[] column = new double[stands.length];
    for (int a = 0; a < ANGLES; a++) {
      for (int j = 0; j < stands.length; j++) {
        column[j] = stands[j][a];
      }
      // of rings that disagree the middle half counts: print and edges are on few of them
      Arrays.sort(column);
      int from = column.length / 4;
      int to = column.length - from;
      double sum = 0;
      for (int j = from; j < to; j++) {
        sum += column[j];
      }
      mean[a] = sum / (to - from);
    }
    return mean;
  }

  private static int strongest(double[] all) {
    int best = 0;
    for (int a = 1; a < ANGLES; a++) {
      if (Math.abs(all[a]) > Math.abs(all[best])) {
        best = a;
      }
    }
    return best;
  }

  private static double apart(int a, int b) {
    double turn = Math.abs(angle(a) - angle(b));
    return Math.min(turn, 2 * Math.PI - turn);
  }

  /** The strongest that is neither the needle nor what its own surroundings make of it. */
  private static double second(double[] all, int strongest) {
    double second = 0;
    for (int a = 0; a < ANGLES; a++) {
      boolean shadow =
          apart(a, strongest) < SURROUNDINGS + SAME
              && Math.signum(all[a]) != Math.signum(all[strongest]);
      if (apart(a, strongest) > SAME && !shadow) {
        second = Math.max(second, Math.abs(all[a]));
      }
    }
    return second;
  }

  private static double noise(double[] all) {
    double[] sizes = Arrays.stream(all).map(Math::abs).sorted().toArray();
    // half of a normal distribution lies within 0.67 standard deviations
    return sizes[ANGLES / 2] / 0.6745;
  }

  private static double white(double[][] light, int around) {
    int count = 0;
    int white = 0;
    int near = index(SAME);
    for (double[] ring : light) {
      for (int a = around - near; a <= around + near; a++) {
        count++;
        white += ring[around(a)] > WHITE ? 1 : 0;
      }
    }
    return (double) white / count;
  }

  /** Whether the face beside the needle looks otherwise than on the still. */
  private boolean changed(double[][] light, int needle) {
    double brighter = median(light, 0, ANGLES) / Math.max(0.02, median(still, 0, ANGLES));
    int from = index(SIDE_FROM);
    int to = index(SIDE_TO);
    return differs(light, needle + from, needle + to, brighter)
        || differs(light, needle - to, needle - from, brighter);
  }

  private boolean differs(double[][] light, int from, int to, double brighter) {
    double now = median(light, from, to);
    double then = median(still, from, to) * brighter;
    return Math.abs(now - then) > MOST_CHANGED;
  }

  private static double median(double[][] light, int from, int to) {
    double[] all = new double[light.length * (to - from)];
    int n = 0;
    for (double[] ring : light) {
      for (int a = from; a < to; a++) {
        all[n++] = ring[around(a)];
      }
    }
    Arrays.sort(all);
    return all[n / 2];
  }

  private DialReading along(double[][] stands, int strongest, double sign, double contrast) {
    List<double[]> points = new ArrayList<>();
    double widths = 0;
    int near = index(NEAR);
    for (int j = 0; j < radii.length; j++) {
      double weight = 0;
      double offset = 0;
      double square = 0;
      double peak = 0;
      for (int k = -near; k <= near; k++) {
        peak = Math.max(peak, sign * stands[j][around(strongest + k)]);
      }
      for (int k = -near; k <= near; k++) {
        double v = sign * stands[j][around(strongest + k)] - peak / 3;
        if (v > 0) {
          weight += v;
          offset += v * k;
          square += v * k * k;
        }
      }
      if (peak > contrast / 2 && weight > 0) {
        double middle = offset / weight;
        double angle = angle(strongest) + 2 * Math.PI * middle / ANGLES;
        points.add(new double[] {radii[j] * Math.cos(angle), radii[j] * Math.sin(angle)});
        widths += Math.sqrt(Math.max(0, square / weight - middle * middle)) * 2 * Math.PI / ANGLES;
      }
    }
    if (points.size() < LEAST_SUPPORT * radii.length) {
      return new NotRead(Why.HIDDEN);
    }
    if (widths / points.size() > WIDEST) {
      return new NotRead(Why.BLUR);
    }
    return pointed(NeedleLine.through(points), points.size());
  }

  private DialReading pointed(NeedleLine line, int points) {
    double radius = dial.radius();
    if (line.kept() < LEAST_SUPPORT * points
        || line.scatter() > MOST_BENT * radius
        || Math.abs(line.aside()) > MOST_ASIDE * radius) {
      return new NotRead(Why.HIDDEN);
    }
    OptionalDouble pressure = dial.pressure(line.angle());
    if (pressure.isEmpty()) {
      return new NotRead(Why.OFF_THE_SCALE);
    }
    double touched = dial.marks().size() > 2 ? TOUCHED : TOUCHED_TWICE;
    double u = Math.hypot(line.angleU(), touched) * Math.abs(dial.perRadian(line.angle()));
    return new Read(pressure.getAsDouble(), u, line.angle());
  }
}
