package gotera.web.photo;

import gotera.combustion.FluidColour;
import gotera.combustion.FluidColour.Spot;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.imageio.ImageIO;

/** Mean colours of spots of a photograph that was kept. */
public final class SpotOfPhotograph {
  private final BufferedImage image;

  SpotOfPhotograph(byte[] jpeg) throws IOException {
    image = ImageIO.read(new ByteArrayInputStream(jpeg));
  }

  /**
   * The mean of a disc.
   *
   * @param across from the left, 0 to 1
   * @param down from the top, 0 to 1
   */
  public Spot mean(double across, double down) {
    double x = across * (image.getWidth() - 1);
    double y = down * (image.getHeight() - 1);
    double r = Math.max(1, FluidColour.RADIUS * Math.min(image.getWidth(), image.getHeight()));
    double[] sum = new double[3];
    int n = 0;
    for (int j = (int) Math.max(0, y - r); j <= Math.min(image.getHeight() - 1, y + r); j++) {
      for (int i = (int) Math.max(0, x - r); i <= Math.min(image.getWidth() - 1, x + r); i++) {
        if (Math.hypot(i - x, j - y) <= r) {
          int rgb = image.getRGB(i, j);
          sum[0] += (rgb >> 16) & 255;
          sum[1] += (rgb >> 8) & 255;
          sum[2] += rgb & 255;
          n++;
        }
      }
    }
    return new Spot(sum[0] / n / 255, sum[1] / n / 255, sum[2] / n / 255);
  }
}
