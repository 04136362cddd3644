package gotera.web.decide;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A line of the customer's sheet in the database. One taken back keeps its row. */
@Entity
@Table(name = "quote_line")
class QuoteLineRecord {
  @Id UUID id;
  UUID jobId;
  String kind = "";
  String what = "";
  String detail = "";
  @Nullable String consent;
  @Nullable Double lowest;
  @Nullable Double expected;
  @Nullable Double highest;
  String currency = "";
  String decision = DecisionWord.OPEN.word();
  @Nullable LocalDate putOffTo;
  @Nullable String decidedBy;
  @Nullable Instant decidedAt;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected QuoteLineRecord() {}

  QuoteLineRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
