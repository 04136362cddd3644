package gotera.web.voice;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A recording in the database. */
@Entity
@Table(name = "voice")
class VoiceRecord {
  @Id UUID id;
  UUID jobId;

  @Column(columnDefinition = "mediumblob")
  byte[] sound;

  String mediaType;
  String sha256;
  Instant writtenAt;
  String writtenBy;

  @SuppressWarnings("NullAway.Init")
  protected VoiceRecord() {}

  VoiceRecord(
      UUID id,
      UUID jobId,
      Recording recording,
      String sha256,
      Instant writtenAt,
      String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.sound = recording.sound();
    this.mediaType = recording.mediaType();
    this.sha256 = sha256;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
