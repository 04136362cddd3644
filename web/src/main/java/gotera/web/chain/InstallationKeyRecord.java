package gotera.web.chain;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A key of the installation in the database. Written once. */
@Entity
@Table(name = "installation_key")
class InstallationKeyRecord {
  /** Counts from 1: the newest signs. */
  @Id int id;

  byte[] secretKey;
  byte[] openKey;
  Instant madeAt;

  @SuppressWarnings("NullAway.Init")
  protected InstallationKeyRecord() {}

  InstallationKeyRecord(int id, byte[] secretKey, byte[] openKey, Instant madeAt) {
    this.id = id;
    this.secretKey = secretKey;
    this.openKey = openKey;
    this.madeAt = madeAt;
  }
}
