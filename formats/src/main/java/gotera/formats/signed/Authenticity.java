package gotera.formats.signed;

import java.time.Instant;
import java.util.Optional;

/** Whether a file is as it was handed out. */
public sealed interface Authenticity {
  /**
   * It is.
   *
   * @param fingerprint of the key that signed it
   * @param at when it was signed
   * @param entries entries of its chain
   * @param head the chain's last hash
   */
  record Genuine(String fingerprint, Instant at, int entries, String head)
      implements Authenticity {}

  /** It is not; the first thing that differs. */
  record Different(String what) implements Authenticity {}

  /** This, or refused where another key was asked for. */
  default Authenticity by(Optional<String> fingerprint) {
    return this instanceof Genuine g
            && fingerprint.filter(f -> !f.equalsIgnoreCase(g.fingerprint())).isPresent()
        ? new Different(
            "signed by another key: " + g.fingerprint() + " instead of " + fingerprint.get())
        : this;
  }
}
