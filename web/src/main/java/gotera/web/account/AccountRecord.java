package gotera.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.Nullable;

/** An account in the database. */
@Entity
@Audited
@Table(name = "account")
class AccountRecord {
  @Id UUID id;
  String login;
  String name;
  @NotAudited String passwordHash;
  String role;
  boolean enabled = true;
  @NotAudited String units = "kpa-litre-celsius";
  @Nullable Instant passwordChangedAt;
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
