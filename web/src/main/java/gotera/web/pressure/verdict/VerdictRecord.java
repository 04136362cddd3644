package gotera.web.pressure.verdict;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A verdict as it was given. {@code result} is the line of the open format with every input; {@code
 * answer} is the whole answer with its frozen conditions ({@link VerdictArchive}), so that a page
 * shows what was said then whatever the estimator says today. That of a reopened test is withdrawn.
 */
@Entity
@Table(name = "verdict")
class VerdictRecord {
  @Id UUID id;
  UUID pressureTestId;
  String estimator;
  String kind;
  String result;
  String answer;
  Instant writtenAt;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected VerdictRecord() {}

  VerdictRecord(
      UUID id,
      UUID pressureTestId,
      String estimator,
      String kind,
      String result,
      String answer,
      Instant writtenAt) {
    this.id = id;
    this.pressureTestId = pressureTestId;
    this.estimator = estimator;
    this.kind = kind;
    this.result = result;
    this.answer = answer;
    this.writtenAt = writtenAt;
  }
}
