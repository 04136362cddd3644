package gotera.web.chain;

import gotera.formats.signed.Keys;
import gotera.web.storage.Write;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.time.Clock;
import org.springframework.stereotype.Service;

/** The key by which this installation signs; made at the first need, kept with the data. */
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
    InstallationKeyRecord record =
        records.findById(InstallationKeyRecord.ONLY).orElseGet(this::make);
    try {
      return new KeyPair(Keys.open(record.openKey), Keys.secret(record.secretKey));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("the installation's key cannot be read", e);
    }
  }

  private InstallationKeyRecord make() {
    KeyPair pair = Keys.make();
    return records.saveAndFlush(
        new InstallationKeyRecord(
            pair.getPrivate().getEncoded(), pair.getPublic().getEncoded(), clock.instant()));
  }

  /** What people compare of it. */
  public String fingerprint() {
    return Keys.fingerprint(pair().getPublic().getEncoded());
  }
}
