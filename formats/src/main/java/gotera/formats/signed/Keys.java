package gotera.formats.signed;

import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.Locale;
import java.util.Optional;

/** Ed25519 (RFC 8032) as the platform has it. */
public final class Keys {
  private static final String ALGORITHM = "Ed25519";
  private static final int FINGERPRINT_DIGITS = 32;
  private static final int GROUP = 4;

  private Keys() {}

  /** A new pair. */
  public static KeyPair make() {
    try {
      return KeyPairGenerator.getInstance(ALGORITHM).generateKeyPair();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("every Java platform from 15 on has Ed25519", e);
    }
  }

  /** A private key as it was stored (PKCS #8). */
  public static PrivateKey secret(byte[] encoded) throws GeneralSecurityException {
    return KeyFactory.getInstance(ALGORITHM).generatePrivate(new PKCS8EncodedKeySpec(encoded));
  }

  /** A public key as it was stored (X.509). */
  public static PublicKey open(byte[] encoded) throws GeneralSecurityException {
    return KeyFactory.getInstance(ALGORITHM).generatePublic(new X509EncodedKeySpec(encoded));
  }

  /** A public key as it is written (X.509, base 64); empty where it is none. */
  static Optional<PublicKey> open(String text) {
    try {
      return Optional.of(open(Base64.getDecoder().decode(text)));
    } catch (GeneralSecurityException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Signs. */
  static byte[] sign(byte[] content, PrivateKey key) {
    try {
      Signature signature = Signature.getInstance(ALGORITHM);
      signature.initSign(key);
      signature.update(content);
      return signature.sign();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("a key of our own signs", e);
    }
  }

  /** Whether a signature is that of a key. */
  static boolean fits(byte[] content, byte[] signed, PublicKey key) {
    try {
      Signature signature = Signature.getInstance(ALGORITHM);
      signature.initVerify(key);
      signature.update(content);
      return signature.verify(signed);
    } catch (GeneralSecurityException e) {
      return false;
    }
  }

  /** What people compare of a public key: the first half of its hash, in groups of four. */
  public static String fingerprint(byte[] publicKey) {
    String digits = Digest.of(publicKey).substring(0, FINGERPRINT_DIGITS).toUpperCase(Locale.ROOT);
    return String.join("-", digits.split("(?<=\\G.{" + GROUP + "})"));
  }
}
