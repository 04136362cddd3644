package gotera.web.photo;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.photo.Photograph.Problem;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class PhotographTests {
  @Test
  void isWrittenAnewAndMadeSmaller() throws IOException {
    Photograph kept = Photograph.read(picture(4000, 1000, "png")).photograph().orElseThrow();
    assertThat(kept.width()).isEqualTo(1600);
    assertThat(kept.height()).isEqualTo(400);
    BufferedImage read = ImageIO.read(new ByteArrayInputStream(kept.jpeg()));
    assertThat(new Color(read.getRGB(800, 200)).getRed()).isBetween(190, 210);
  }

  @Test
  void nothingHiddenInAnUploadIsKept() throws IOException {
    byte[] picture = picture(60, 40, "jpg");
    ByteArrayOutputStream upload = new ByteArrayOutputStream();
    upload.write(picture);
    upload.write("<script>run()</script>".getBytes(StandardCharsets.UTF_8));
    Photograph kept = Photograph.read(upload.toByteArray()).photograph().orElseThrow();
    assertThat(new String(kept.jpeg(), StandardCharsets.ISO_8859_1)).doesNotContain("script");
  }

  @Test
  void standsAsItWasSeenWhateverTheCameraWasHeld() throws IOException {
    // a camera held upright stores the picture lying, with a note to turn it by a quarter
    Photograph kept = Photograph.read(turned(60, 40, 6)).photograph().orElseThrow();
    assertThat(kept.width()).isEqualTo(40);
    assertThat(kept.height()).isEqualTo(60);
    // the red mark of the stored picture's upper left corner is seen in the upper right one
    BufferedImage read = ImageIO.read(new ByteArrayInputStream(kept.jpeg()));
    assertThat(new Color(read.getRGB(36, 3)).getRed()).isGreaterThan(150);
    assertThat(new Color(read.getRGB(3, 3)).getRed()).isLessThan(100);
    for (int turn = 1; turn <= 8; turn++) {
      Photograph any = Photograph.read(turned(60, 40, turn)).photograph().orElseThrow();
      assertThat(any.width()).as("turn %d", turn).isEqualTo(turn >= 5 ? 40 : 60);
      assertThat(new String(any.jpeg(), StandardCharsets.ISO_8859_1)).doesNotContain("Exif");
    }
  }

  /** A note in a PNG that would unpack to 200 MB is not unpacked. */
  @Test
  void aNoteThatUnpacksToAMountainIsLeftPacked() throws IOException {
    byte[] upload = noted(picture(60, 40, "png"), 200_000_000);
    com.sun.management.ThreadMXBean threads =
        (com.sun.management.ThreadMXBean) java.lang.management.ManagementFactory.getThreadMXBean();
    long before = threads.getCurrentThreadAllocatedBytes();
    assertThat(Photograph.read(upload).photograph()).isPresent();
    assertThat(threads.getCurrentThreadAllocatedBytes() - before).isLessThan(50_000_000);
  }

  /** A picture with a packed note right after its head. */
  private static byte[] noted(byte[] png, int unpacked) throws IOException {
    ByteArrayOutputStream note = new ByteArrayOutputStream();
    note.write("zTXtnote\0\0".getBytes(StandardCharsets.ISO_8859_1));
    try (DeflaterOutputStream packing = new DeflaterOutputStream(note)) {
      byte[] zeros = new byte[1 << 20];
      for (int written = 0; written < unpacked; written += zeros.length) {
        packing.write(zeros);
      }
    }
    CRC32 crc = new CRC32();
    crc.update(note.toByteArray());
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(all);
    int afterHead = 33;
    out.write(png, 0, afterHead);
    out.writeInt(note.size() - 4);
    out.write(note.toByteArray());
    out.writeInt((int) crc.getValue());
    out.write(png, afterHead, png.length - afterHead);
    return all.toByteArray();
  }

  /** A picture with a red corner and a note on how the camera was held. */
  private static byte[] turned(int width, int height, int turn) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var graphics = image.createGraphics();
    graphics.setColor(Color.RED);
    graphics.fillRect(0, 0, 12, 12);
    graphics.dispose();
    ByteArrayOutputStream plain = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", plain);
    byte[] exif = {
      'E',
      'x',
      'i',
      'f',
      0,
      0,
      'M',
      'M',
      0,
      42,
      0,
      0,
      0,
      8,
      0,
      1,
      1,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) turn,
      0,
      0,
      0,
      0,
      0,
      0
    };
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    bytes.write(plain.toByteArray(), 0, 2);
    bytes.write(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (exif.length + 2)});
    bytes.write(exif);
    bytes.write(plain.toByteArray(), 2, plain.size() - 2);
    return bytes.toByteArray();
  }

  @Test
  void whatIsNoPictureIsRefusedWhateverItsName() {
    byte[] page = "<html><script>run()</script></html>".getBytes(StandardCharsets.UTF_8);
    assertThat(Photograph.read(page).problem()).contains(Problem.NO_PICTURE);
    byte[] drawing = "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(StandardCharsets.UTF_8);
    assertThat(Photograph.read(drawing).problem()).contains(Problem.NO_PICTURE);
    assertThat(Photograph.read(new byte[0]).problem()).contains(Problem.NO_PICTURE);
  }

  @Test
  void aDamagedPictureIsRefused() throws IOException {
    byte[] cut = java.util.Arrays.copyOf(picture(600, 400, "png"), 200);
    assertThat(Photograph.read(cut).problem()).contains(Problem.NO_PICTURE);
  }

  @Test
  void aBombIsRefusedUnread() throws IOException {
    // 30000 × 30000 pixels of nothing: 900 million, in about 110 kB
    byte[] bomb = hugePng(30_000);
    assertThat(bomb.length).isLessThan(1_000_000);
    assertThat(Photograph.read(bomb).problem()).contains(Problem.TOO_MANY_PIXELS);
  }

  @Test
  void aTooLargeUploadIsRefused() {
    assertThat(Photograph.read(new byte[Photograph.MOST_BYTES + 1]).problem())
        .contains(Problem.TOO_LARGE);
  }

  private static byte[] picture(int width, int height, String format) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var graphics = image.createGraphics();
    graphics.setColor(new Color(200, 30, 30));
    graphics.fillRect(0, 0, width, height);
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, format, bytes);
    return bytes.toByteArray();
  }

  private static byte[] hugePng(int side) throws IOException {
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(png);
    out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
    ByteArrayOutputStream header = new ByteArrayOutputStream();
    DataOutputStream fields = new DataOutputStream(header);
    fields.writeInt(side);
    fields.writeInt(side);
    fields.write(new byte[] {1, 0, 0, 0, 0}); // one bit of grey
    chunk(out, "IHDR", header.toByteArray());
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflater = new DeflaterOutputStream(packed)) {
      byte[] row = new byte[side / 8 + 1];
      for (int i = 0; i < side; i++) {
        deflater.write(row);
      }
    }
    chunk(out, "IDAT", packed.toByteArray());
    chunk(out, "IEND", new byte[0]);
    return png.toByteArray();
  }

  private static void chunk(DataOutputStream out, String type, byte[] data) throws IOException {
    byte[] name = type.getBytes(StandardCharsets.US_ASCII);
    out.writeInt(data.length);
    out.write(name);
    out.write(data);
    CRC32 sum = new CRC32();
    sum.update(name);
    sum.update(data);
    out.writeInt((int) sum.getValue());
  }
}
