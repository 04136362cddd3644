package gotera.testkit.dial;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/**
 * A film of a drawn dial for a browser's camera (MJPEG). Each picture carries its number in the
 * corners beside the dial, so that whoever receives a frame knows which one it is.
 */
public final class Film implements AutoCloseable {
  /** Size of a picture of the film. */
  public static final int WIDTH = 640;

  public static final int HEIGHT = 480;

  /** Where the dial's picture lies in it. */
  public static final int LEFT = (WIDTH - DrawnDial.SIZE) / 2;

  public static final int TOP = (HEIGHT - DrawnDial.SIZE) / 2;

  /** Numbers from 0 to below this. */
  public static final int MOST = 1 << 16;

  private static final int BLOCK = 11;
  private static final int SIDE = 3;
  private static final int NEAR = 112;
  private static final int BITS = 32;

  private final OutputStream out;

  /** Begins a film. */
  public Film(Path file) throws IOException {
    out = Files.newOutputStream(file);
  }

  /**
   * Shows a picture for some frames.
   *
   * @param dial light of the dial's picture
   * @param touched where its centre was touched in that picture
   * @param number what the frame is known by
   * @param frames how many frames long; a camera shows 30 in a second
   */
  public void show(float[] dial, double[] touched, int number, int frames) throws IOException {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(new Color(90, 88, 84));
    g.fillRect(0, 0, WIDTH, HEIGHT);
    for (int y = 0; y < DrawnDial.SIZE; y++) {
      for (int x = 0; x < DrawnDial.SIZE; x++) {
        int grey = Math.round(255 * dial[y * DrawnDial.SIZE + x]);
        image.setRGB(LEFT + x, TOP + y, grey << 16 | grey << 8 | grey);
      }
    }
    for (int bit = 0; bit < BITS; bit++) {
      g.setColor(bit(number, bit) ? Color.WHITE : Color.BLACK);
      g.fillRect(
          (int) Math.round(LEFT + touched[0] + x(bit)),
          (int) Math.round(TOP + touched[1] + y(bit)),
          BLOCK,
          BLOCK);
    }
    g.dispose();
    ByteArrayOutputStream one = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", one);
    for (int i = 0; i < frames; i++) {
      one.writeTo(out);
    }
  }

  /**
   * The number of a frame that was cut to a square around the touched centre, or -1 where it cannot
   * be read.
   *
   * @param half half the square's side, in dots of the film
   */
  public static int number(BufferedImage square, double half) {
    double scale = square.getWidth() / (2 * half);
    int[] read = new int[2];
    for (int bit = 0; bit < BITS; bit++) {
      int x = (int) (scale * (half + x(bit) + BLOCK / 2.0));
      int y = (int) (scale * (half + y(bit) + BLOCK / 2.0));
      if ((square.getRGB(x, y) >> 8 & 255) > 127) {
        read[bit / 16] |= 1 << bit % 16;
      }
    }
    return read[0] == (~read[1] & 0xffff) ? read[0] : -1;
  }

  /** The number, then all of it the other way round. */
  private static boolean bit(int number, int bit) {
    return (number >> bit % 16 & 1) == (bit < 16 ? 1 : 0);
  }

  private static int x(int bit) {
    int inner = NEAR + BLOCK * (bit % 9 % SIDE);
    return bit / 9 % 2 == 0 ? inner : -inner - BLOCK;
  }

  private static int y(int bit) {
    int inner = NEAR + BLOCK * (bit % 9 / SIDE);
    return bit / 9 < 2 ? inner : -inner - BLOCK;
  }

  @Override
  public void close() throws IOException {
    out.close();
  }
}
