package gotera.web.camera;

import gotera.dial.Picture;
import gotera.web.photo.Photograph;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Frames as pictures that are only light and dark. */
final class Frames {
  private Frames() {}

  static Picture of(Photograph photograph) {
    try {
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(photograph.jpeg()));
      int width = image.getWidth();
      int height = image.getHeight();
      return Picture.ofColours(width, height, image.getRGB(0, 0, width, height, null, 0, width));
    } catch (IOException e) {
      throw new UncheckedIOException("a frame that was written here cannot be read", e);
    }
  }
}
