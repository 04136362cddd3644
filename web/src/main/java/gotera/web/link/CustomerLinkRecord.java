package gotera.web.link;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.Nullable;

/** A customer's link in the database. The link itself is not kept, only its hash. */
@Entity
@Audited
@Table(name = "report_link")
class CustomerLinkRecord {
  @Id UUID id;
  UUID jobId;
  String purpose;
  @NotAudited String tokenSha256;
  Instant madeAt;
  String madeBy;
  Instant endsAt;
  @Nullable Instant withdrawnAt;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected CustomerLinkRecord() {}

  CustomerLinkRecord(
      UUID id,
      UUID jobId,
      String purpose,
      String tokenSha256,
      Instant madeAt,
      String madeBy,
      Instant endsAt) {
    this.id = id;
    this.jobId = jobId;
    this.purpose = purpose;
    this.tokenSha256 = tokenSha256;
    this.madeAt = madeAt;
    this.madeBy = madeBy;
    this.endsAt = endsAt;
  }

  boolean opensAt(Instant now) {
    return withdrawnAt == null && now.isBefore(endsAt);
  }
}
