package gotera.testkit.dial;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.util.Arrays;
import java.util.Random;

/**
 * A drawn dial: three faces, held askew, unevenly lit, with reflected light, noise, blur, and
 * sometimes a hand before it. Its scale is 0 to 200 kPa over 270 degrees, in divisions of 10 kPa.
 */
public final class DrawnDial {
  /** Between two marks (kPa). */
  public static final double DIVISION = 10;

  /** Height and width of its pictures. */
  public static final int SIZE = 360;

  private static final double FULL = 200;
  private static final double RADIUS = 140;
  private static final double FIRST = Math.toRadians(135);
  private static final double SWEEP = Math.toRadians(270);

  private final Random random;
  private final AffineTransform askew;
  private final int face;
  private final double slopeX;
  private final double slopeY;
  private final double lit;

  /** What else is in the picture. */
  public enum Trouble {
    NOTHING,
    GLARE,
    BLUR,
    HAND,
    MOVES
  }

  public DrawnDial(Random random) {
    this.random = random;
    face = random.nextInt(3);
    slopeX = between(-0.3, 0.3);
    slopeY = between(-0.3, 0.3);
    lit = between(0.6, 1.05);
    // seen from aside by up to 20 degrees, about an axis of any direction
    double tilt = Math.toRadians(20) * random.nextDouble();
    double axis = Math.PI * random.nextDouble();
    askew = new AffineTransform();
    askew.translate(SIZE / 2.0 + between(-8, 8), SIZE / 2.0 + between(-8, 8));
    askew.rotate(axis);
    askew.scale(1, Math.cos(tilt));
    askew.rotate(-axis + Math.toRadians(between(-6, 6)));
  }

  private double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  private static double angle(double kilopascals) {
    return FIRST + SWEEP * kilopascals / FULL;
  }

  /** Where somebody touches it, to within a dot and a half: the centre, and marks (kPa). */
  public double[][] touched(double... at) {
    double[][] touched = new double[at.length + 1][];
    touched[0] = seen(0, 0);
    for (int i = 0; i < at.length; i++) {
      touched[i + 1] = seen(RADIUS * Math.cos(angle(at[i])), RADIUS * Math.sin(angle(at[i])));
    }
    for (int i = 1; i <= at.length; i++) {
      aside(touched[i]);
    }
    aside(touched[0]);
    return touched;
  }

  private void aside(double[] point) {
    point[0] += between(-1.5, 1.5);
    point[1] += between(-1.5, 1.5);
  }

  private double[] seen(double x, double y) {
    double[] point = {x, y};
    askew.transform(point, 0, point, 0, 1);
    return point;
  }

  /** A picture of it: light from 0 to 1, row by row. */
  public float[] picture(double kilopascals, Trouble trouble) {
    BufferedImage image = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(90, 88, 84));
    g.fillRect(0, 0, SIZE, SIZE);
    g.transform(askew);
    face(g);
    needle(g, kilopascals, trouble == Trouble.MOVES);
    g.setTransform(new AffineTransform());
    if (trouble == Trouble.GLARE) {
      glare(g);
    }
    if (trouble == Trouble.HAND) {
      hand(g);
    }
    g.dispose();
    BufferedImage seen =
        trouble == Trouble.BLUR ? blurred(image, 3 + random.nextInt(11)) : blurred(image, 3);
    return light(seen);
  }

  private Color ground() {
    return switch (face) {
      case 0 -> new Color(236, 234, 226);
      case 1 -> new Color(28, 30, 34);
      default -> new Color(214, 206, 170);
    };
  }

  private Color print() {
    return face == 1 ? new Color(232, 232, 228) : new Color(34, 34, 34);
  }

  private void face(Graphics2D g) {
    g.setColor(ground());
    g.fill(new Ellipse2D.Double(-165, -165, 330, 330));
    g.setColor(print());
    for (int i = 0; i <= 40; i++) {
      double a = angle(i * 5.0);
      boolean whole = i % 2 == 0;
      double from = whole ? RADIUS - 20 : RADIUS - 11;
      g.setStroke(new BasicStroke(whole ? 2.4f : 1.2f));
      g.draw(
          new java.awt.geom.Line2D.Double(
              from * Math.cos(a), from * Math.sin(a), RADIUS * Math.cos(a), RADIUS * Math.sin(a)));
    }
    g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 15));
    for (int i = 0; i <= 10; i++) {
      double a = angle(i * 20.0);
      g.drawString(
          Integer.toString(i * 20),
          (float) (105 * Math.cos(a) - 10),
          (float) (105 * Math.sin(a) + 6));
    }
    g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 18));
    g.drawString("kPa", -17, 62);
  }

  private void needle(Graphics2D g, double kilopascals, boolean moves) {
    Color colour =
        switch (face) {
          case 0 -> new Color(20, 20, 20);
          case 1 -> new Color(240, 120, 60);
          default -> new Color(150, 30, 30);
        };
    int drawn = moves ? 24 : 1;
    double swing = moves ? between(2, 22) : 0;
    for (int i = 0; i < drawn; i++) {
      double at = kilopascals + (drawn == 1 ? 0 : swing * (i / (drawn - 1.0) - 0.5));
      g.setColor(
          drawn == 1
              ? colour
              : new Color(colour.getRed(), colour.getGreen(), colour.getBlue(), 255 / 8));
      Path2D shape = new Path2D.Double();
      double a = angle(at);
      double cos = Math.cos(a);
      double sin = Math.sin(a);
      double tail = 30;
      shape.moveTo(124 * cos, 124 * sin);
      shape.lineTo(4 * -sin, 4 * cos);
      shape.lineTo(-tail * cos - 5 * sin, -tail * sin + 5 * cos);
      shape.lineTo(-tail * cos + 5 * sin, -tail * sin - 5 * cos);
      shape.lineTo(4 * sin, -4 * cos);
      shape.closePath();
      g.fill(shape);
    }
    g.setColor(print());
    g.fill(new Ellipse2D.Double(-11, -11, 22, 22));
  }

  private void glare(Graphics2D g) {
    double a = 2 * Math.PI * random.nextDouble();
    double r = between(20, 110);
    float size = (float) between(30, 95);
    g.setPaint(
        new RadialGradientPaint(
            (float) (SIZE / 2.0 + r * Math.cos(a)),
            (float) (SIZE / 2.0 + r * Math.sin(a)),
            size,
            new float[] {0f, 0.6f, 1f},
            new Color[] {
              new Color(255, 255, 255, 250),
              new Color(255, 255, 255, 190),
              new Color(255, 255, 255, 0)
            }));
    g.fillRect(0, 0, SIZE, SIZE);
  }

  private void hand(Graphics2D g) {
    g.setColor(random.nextBoolean() ? new Color(40, 44, 52) : new Color(196, 150, 122));
    double a = 2 * Math.PI * random.nextDouble();
    AffineTransform turn = AffineTransform.getRotateInstance(a, SIZE / 2.0, SIZE / 2.0);
    g.setTransform(turn);
    double from = between(-60, 90);
    for (int finger = 0; finger < 3; finger++) {
      g.fill(
          new java.awt.geom.RoundRectangle2D.Double(
              SIZE / 2.0 + from, SIZE / 2.0 - 70 + finger * 46, 260, 40, 38, 38));
    }
    g.setTransform(new AffineTransform());
  }

  private static BufferedImage blurred(BufferedImage image, int size) {
    float[] even = new float[size * size];
    Arrays.fill(even, 1f / even.length);
    return new ConvolveOp(new Kernel(size, size, even), ConvolveOp.EDGE_NO_OP, null)
        .filter(image, null);
  }

  /** Unevenly lit, with noise. */
  private float[] light(BufferedImage image) {
    float[] light = new float[SIZE * SIZE];
    double gx = slopeX + between(-0.04, 0.04);
    double gy = slopeY + between(-0.04, 0.04);
    double bright = lit * between(0.9, 1.1);
    double noise = between(0.005, 0.05);
    for (int y = 0; y < SIZE; y++) {
      for (int x = 0; x < SIZE; x++) {
        int rgb = image.getRGB(x, y);
        double grey =
            (0.299 * (rgb >> 16 & 255) + 0.587 * (rgb >> 8 & 255) + 0.114 * (rgb & 255)) / 255;
        double seen =
            grey
                * bright
                * (1 + gx * (x / (double) SIZE - 0.5) * 2 + gy * (y / (double) SIZE - 0.5) * 2);
        light[y * SIZE + x] =
            (float) Math.max(0, Math.min(1, seen + noise * random.nextGaussian()));
      }
    }
    return light;
  }
}
