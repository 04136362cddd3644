package gotera.web.storage;

import java.security.SecureRandom;
import java.util.Base64;
import java.util.Locale;
import org.apache.commons.codec.binary.Base32;
import org.springframework.stereotype.Component;

/** Makes what nobody can guess. Only its hash is kept. */
@Component
public class Secrets {
  /** Random bytes of a token (our judgement: 256 bits cannot be guessed). */
  private static final int TOKEN_BYTES = 32;

  private final SecureRandom random = new SecureRandom();

  /** A token for a machine or a link. */
  public String token() {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes(TOKEN_BYTES));
  }

  /**
   * A code for hands: letters and digits that are not taken for each other.
   *
   * @param bytes random bytes in it; five are eight characters
   */
  public String code(int bytes) {
    return new Base32().encodeToString(bytes(bytes)).toLowerCase(Locale.ROOT).replace("=", "");
  }

  private byte[] bytes(int count) {
    byte[] bytes = new byte[count];
    random.nextBytes(bytes);
    return bytes;
  }
}
