package gotera.web.frame;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** An address as a QR code (ISO/IEC 18004), for a terminal and for a page. */
public final class QrCode {
  private static final int QUIET_ZONE = 2;

  private final BitMatrix modules;

  private QrCode(BitMatrix modules) {
    this.modules = modules;
  }

  /** Prints the code of an address on the terminal. */
  public static void main(String[] arguments) {
    byte[] text = of(arguments[0]).text().getBytes(StandardCharsets.UTF_8);
    System.out.write(text, 0, text.length);
    System.out.flush();
  }

  /** The code of a text. */
  public static QrCode of(String text) {
    try {
      return new QrCode(
          new QRCodeWriter()
              .encode(
                  text,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(
                      EncodeHintType.MARGIN,
                      QUIET_ZONE,
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.M)));
    } catch (WriterException e) {
      throw new IllegalArgumentException("too long for a QR code: " + text.length(), e);
    }
  }

  /** Two modules a character, light on dark as on most terminals. */
  String text() {
    StringBuilder text = new StringBuilder();
    for (int y = 0; y < modules.getHeight(); y += 2) {
      for (int x = 0; x < modules.getWidth(); x++) {
        boolean upper = !modules.get(x, y);
        boolean lower = y + 1 >= modules.getHeight() || !modules.get(x, y + 1);
        text.append(upper ? (lower ? '\u2588' : '\u2580') : lower ? '\u2584' : ' ');
      }
      text.append('\n');
    }
    return text.toString();
  }

  /** As SVG; its style comes from the style sheet. */
  public String svg(String label) {
    StringBuilder path = new StringBuilder();
    for (int y = 0; y < modules.getHeight(); y++) {
      for (int x = 0; x < modules.getWidth(); x++) {
        if (modules.get(x, y)) {
          path.append('M').append(x).append(',').append(y).append("h1v1h-1z");
        }
      }
    }
    return "<svg class=\"qr\" viewBox=\"0 0 "
        + modules.getWidth()
        + " "
        + modules.getHeight()
        + "\" role=\"img\" aria-label=\""
        + org.springframework.web.util.HtmlUtils.htmlEscape(label)
        + "\"><path d=\""
        + path
        + "\"/></svg>";
  }
}
