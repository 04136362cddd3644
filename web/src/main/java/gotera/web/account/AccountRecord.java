package gotera.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An account in the database. */
@Entity
@Table(name = "account")
class AccountRecord {
  @Id UUID id;
  String login;
  String name;
  String passwordHash;
  String role;
  boolean enabled = true;
  int wrongPasswords;
  @Nullable Instant lockedUntil;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected AccountRecord() {}

  AccountRecord(UUID id, String login, String name, String passwordHash, Role role) {
    this.id = id;
    this.login = login;
    this.name = name;
    this.passwordHash = passwordHash;
    this.role = role.name();
  }
}
