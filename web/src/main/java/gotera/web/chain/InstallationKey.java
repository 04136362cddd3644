package gotera.web.chain;

import gotera.formats.signed.Keys;
import gotera.web.storage.Write;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The key by which this installation signs; made at the first need, kept with the data. A new one
 * can take its place; what an earlier one signed stays as valid as it was.
 */
@Service
public class InstallationKey {
  private final InstallationKeyRecords records;
  private final Clock clock;

  InstallationKey(InstallationKeyRecords records, Clock clock) {
    this.records = records;
    this.clock = clock;
  }

  /** The pair. */
  @Write
  public KeyPair pair() {
    InstallationKeyRecord record = records.findFirstByOrderByIdDesc().orElseGet(() -> make(1));
    try {
      return new KeyPair(Keys.open(record.openKey), Keys.secret(record.secretKey));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("the installation's key cannot be read", e);
    }
  }

  /**
   * Makes a new key that signs from now on.
   *
   * @param after the fingerprint of the key it takes the place of; where another has done so
   *     already, nothing is made
   */
  @Write
  public void renew(String after) {
    records
        .findFirstByOrderByIdDesc()
        .filter(k -> Keys.fingerprint(k.openKey).equals(after))
        .ifPresent(k -> make(k.id + 1));
  }

  /**
   * A key that signs or has signed.
   *
   * @param fingerprint what people compare of it
   * @param since when it was made
   */
  public record Used(String fingerprint, Instant since) {}

  /** Every key that this installation has signed with, the newest first. */
  @Transactional(readOnly = true)
  public List<Used> used() {
    return records.findAllByOrderByIdDesc().stream()
        .map(k -> new Used(Keys.fingerprint(k.openKey), k.madeAt))
        .toList();
  }

  private InstallationKeyRecord make(int id) {
    KeyPair pair = Keys.make();
    return records.saveAndFlush(
        new InstallationKeyRecord(
            id, pair.getPrivate().getEncoded(), pair.getPublic().getEncoded(), clock.instant()));
  }

  /** What people compare of it; the first question makes it. */
  @Write
  public String fingerprint() {
    return Keys.fingerprint(pair().getPublic().getEncoded());
  }
}
