package gotera.web.storage;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 (FIPS 180-4), in hexadecimal digits. */
public final class Hashes {
  private Hashes() {}

  /** A digest to feed. */
  public static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  /** The hash of some bytes. */
  public static String sha256(byte[] bytes) {
    return HexFormat.of().formatHex(sha256().digest(bytes));
  }

  /** The hash of a text in UTF-8. */
  public static String sha256(String text) {
    return sha256(text.getBytes(StandardCharsets.UTF_8));
  }
}
