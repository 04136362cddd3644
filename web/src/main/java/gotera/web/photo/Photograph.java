package gotera.web.photo;

import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import gotera.word.Worded;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;

/**
 * A photograph as it is kept: read from what was uploaded and written anew, so that nothing of the
 * upload but its picture remains: no place where it was taken, no hidden content.
 *
 * @param jpeg the picture
 * @param width its width (px)
 * @param height its height (px)
 */
public record Photograph(byte[] jpeg, int width, int height) {
  /** Longest side kept (px); our judgement: enough to see a bead. */
  private static final int LONGEST_SIDE = 1600;

  /** How a camera is held usually, as in EXIF. */
  private static final int UPRIGHT = 1;

  /** Longest side on paper (px): 80 mm at 200 dots an inch (our judgement). */
  private static final int PRINTED_SIDE = 640;

  /** Most pixels read (our judgement: what phones make); more is refused unread. */
  private static final long MOST_PIXELS = 64_000_000L;

  /** Longest side read (px) (our judgement: a panorama has as much). */
  private static final long LONGEST_READ = 16_000;

  /** Largest upload (bytes); our judgement. */
  static final int MOST_BYTES = 24 * 1024 * 1024;

  private static final float QUALITY = 0.85f;

  static {
    // pictures are small enough to stay in memory
    ImageIO.setUseCache(false);
  }

  /** Why an upload is not kept. */
  enum Problem implements Worded {
    TOO_LARGE,
    NO_PICTURE,
    TOO_MANY_PIXELS
  }

  /** Whether a picture of this size was not made smaller when it was read. */
  boolean fits() {
    return Math.max(width, height) < LONGEST_SIDE;
  }

  /** The same picture, of these bytes. */
  Photograph with(byte[] other) {
    return new Photograph(other, width, height);
  }

  /** A photograph, or why there is none. */
  record Outcome(Optional<Photograph> photograph, Optional<Problem> problem) {
    static Outcome of(Photograph photograph) {
      return new Outcome(Optional.of(photograph), Optional.empty());
    }

    static Outcome of(Problem problem) {
      return new Outcome(Optional.empty(), Optional.of(problem));
    }
  }

  /** Reads an upload: JPEG or PNG by its content, whatever its name says. */
  static Outcome read(byte[] upload) {
    if (upload.length > MOST_BYTES) {
      return Outcome.of(Problem.TOO_LARGE);
    }
    try (ImageInputStream stream =
        ImageIO.createImageInputStream(new ByteArrayInputStream(upload))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      while (readers.hasNext()) {
        ImageReader reader = readers.next();
        String format = reader.getFormatName().toLowerCase(java.util.Locale.ROOT);
        if (format.equals("jpeg")) {
          return read(reader, stream, orientation(upload));
        }
        if (format.equals("png")) {
          // what a PNG says of itself may unpack to anything, and cameras write none
          return read(reader, stream, UPRIGHT);
        }
      }
      return Outcome.of(Problem.NO_PICTURE);
    } catch (IOException | RuntimeException e) {
      // the readers of the platform throw all kinds of exceptions at damaged pictures
      return Outcome.of(Problem.NO_PICTURE);
    }
  }

  private static Outcome read(ImageReader reader, ImageInputStream stream, int turn)
      throws IOException {
    try {
      reader.setInput(stream, true, true);
      // the size stands at the beginning: a bomb is refused before it is unpacked
      long width = reader.getWidth(0);
      long height = reader.getHeight(0);
      if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_READ) {
        return Outcome.of(Problem.TOO_MANY_PIXELS);
      }
      ImageReadParam parameters = reader.getDefaultReadParam();
      int every = (int) Math.max(1, Math.max(width, height) / (2 * LONGEST_SIDE));
      parameters.setSourceSubsampling(every, every, 0, 0);
      return Outcome.of(written(upright(scaled(reader.read(0, parameters), LONGEST_SIDE), turn)));
    } finally {
      reader.dispose();
    }
  }

  /** A kept picture at the size that is printed (JPEG). */
  static byte[] forPrint(byte[] kept) {
    try {
      return written(scaled(ImageIO.read(new ByteArrayInputStream(kept)), PRINTED_SIDE)).jpeg();
    } catch (IOException e) {
      throw new UncheckedIOException("a kept photograph cannot be read", e);
    }
  }

  private static BufferedImage scaled(BufferedImage read, int longest) {
    double scale = Math.min(1, (double) longest / Math.max(read.getWidth(), read.getHeight()));
    int width = Math.max(1, (int) Math.round(read.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(read.getHeight() * scale));
    BufferedImage scaled = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = scaled.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    graphics.drawImage(read, 0, 0, width, height, Color.WHITE, null);
    graphics.dispose();
    return scaled;
  }

  /** How the camera was held, 1 to 8 as in EXIF; 1, upright, where nothing says otherwise. */
  private static int orientation(byte[] upload) throws IOException {
    try {
      ExifIFD0Directory exif =
          JpegMetadataReader.readMetadata(
                  new ByteArrayInputStream(upload), List.of(new ExifReader()))
              .getFirstDirectoryOfType(ExifIFD0Directory.class);
      Integer turn = exif == null ? null : exif.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
      return turn == null || turn < UPRIGHT || turn > 8 ? UPRIGHT : turn;
    } catch (JpegProcessingException e) {
      return UPRIGHT; // a picture without readable notes about itself is shown as it is
    }
  }

  /** The picture as it was seen: turned and mirrored by its EXIF orientation. */
  private static BufferedImage upright(BufferedImage picture, int turn) {
    if (turn == UPRIGHT) {
      return picture;
    }
    int width = picture.getWidth();
    int height = picture.getHeight();
    boolean sideways = turn >= 5;
    BufferedImage upright =
        new BufferedImage(
            sideways ? height : width, sideways ? width : height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int right = width - 1 - x;
        int up = height - 1 - y;
        int rgb = picture.getRGB(x, y);
        switch (turn) {
          case 2 -> upright.setRGB(right, y, rgb);
          case 3 -> upright.setRGB(right, up, rgb);
          case 4 -> upright.setRGB(x, up, rgb);
          case 5 -> upright.setRGB(y, x, rgb);
          case 6 -> upright.setRGB(up, x, rgb);
          case 7 -> upright.setRGB(up, right, rgb);
          default -> upright.setRGB(y, right, rgb);
        }
      }
    }
    return upright;
  }

  private static Photograph written(BufferedImage picture) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    try {
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      writer.setOutput(ImageIO.createImageOutputStream(bytes));
      ImageWriteParam parameters = writer.getDefaultWriteParam();
      parameters.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      parameters.setCompressionQuality(QUALITY);
      writer.write(null, new IIOImage(picture, null, null), parameters);
      ((javax.imageio.stream.ImageOutputStream) writer.getOutput()).flush();
      return new Photograph(bytes.toByteArray(), picture.getWidth(), picture.getHeight());
    } finally {
      writer.dispose();
    }
  }
}
