package gotera.web.chain;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** The installation's key in the database. */
@Entity
@Table(name = "installation_key")
class InstallationKeyRecord {
  /** There is one. */
  static final int ONLY = 1;

  @Id int id = ONLY;
  byte[] secretKey;
  byte[] openKey;
  Instant madeAt;

  @SuppressWarnings("NullAway.Init")
  protected InstallationKeyRecord() {}

  InstallationKeyRecord(byte[] secretKey, byte[] openKey, Instant madeAt) {
    this.secretKey = secretKey;
    this.openKey = openKey;
    this.madeAt = madeAt;
  }
}
