package gotera.formats.signed;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 (FIPS 180-4), as hexadecimal digits. */
final class Digest {
  private final MessageDigest digest;

  Digest() {
    try {
      digest = MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  static String of(byte[] bytes) {
    return new Digest().add(bytes).hex();
  }

  Digest add(byte[] bytes) {
    digest.update(bytes);
    return this;
  }

  String hex() {
    return HexFormat.of().formatHex(digest.digest());
  }
}
