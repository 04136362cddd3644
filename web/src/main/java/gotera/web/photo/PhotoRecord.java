package gotera.web.photo;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A photograph in the database. Written once. */
@Entity
@Table(name = "photo")
class PhotoRecord {
  @Id UUID id;
  UUID jobId;

  @Column(columnDefinition = "mediumblob")
  byte[] jpeg;

  int width;
  int height;
  String sha256;
  Instant writtenAt;
  String writtenBy;

  @SuppressWarnings("NullAway.Init")
  protected PhotoRecord() {}

  PhotoRecord(
      UUID id, UUID jobId, Photograph photo, String sha256, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.jpeg = photo.jpeg();
    this.width = photo.width();
    this.height = photo.height();
    this.sha256 = sha256;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
