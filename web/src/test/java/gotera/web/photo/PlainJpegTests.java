package gotera.web.photo;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class PlainJpegTests {
  private static final byte[] SCRIPT =
      "<script>alert(1)</script>".getBytes(StandardCharsets.US_ASCII);

  private static byte[] kept() throws IOException {
    BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < 40; x++) {
      image.setRGB(x, x % 30, 0x40a0ff * x);
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(image, "png", png);
    return Photograph.read(png.toByteArray()).photograph().orElseThrow().jpeg();
  }

  @Test
  void whatIsWrittenHereHoldsNothingButItsPicture() throws IOException {
    assertThat(PlainJpeg.is(kept())).isTrue();
  }

  @Test
  void whatIsHiddenBesideThePictureIsSeen() throws IOException {
    byte[] jpeg = kept();
    byte[] behind = Arrays.copyOf(jpeg, jpeg.length + SCRIPT.length);
    System.arraycopy(SCRIPT, 0, behind, jpeg.length, SCRIPT.length);
    byte[] comment = new byte[jpeg.length + SCRIPT.length + 4];
    System.arraycopy(jpeg, 0, comment, 0, 2);
    comment[2] = (byte) 0xFF;
    comment[3] = (byte) 0xFE;
    comment[5] = (byte) (SCRIPT.length + 2);
    System.arraycopy(SCRIPT, 0, comment, 6, SCRIPT.length);
    System.arraycopy(jpeg, 2, comment, 6 + SCRIPT.length, jpeg.length - 2);
    for (byte[] hidden : new byte[][] {behind, comment}) {
      assertThat(Photograph.read(hidden).photograph()).as("guard: browsers show it").isPresent();
      assertThat(PlainJpeg.is(hidden)).isFalse();
    }
    for (int length = 0; length < jpeg.length; length++) {
      assertThat(PlainJpeg.is(Arrays.copyOf(jpeg, length))).as("cut at " + length).isFalse();
    }
  }
}
