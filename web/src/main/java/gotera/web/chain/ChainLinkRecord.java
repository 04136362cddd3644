package gotera.web.chain;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** An entry of a job's chain in the database; written once. */
@Entity
@Table(name = "chain_link")
class ChainLinkRecord {
  @Id UUID id;
  UUID jobId;
  int number;
  Instant at;

  @Column(name = "by_account")
  String by;

  String what;
  String hash;

  @SuppressWarnings("NullAway.Init")
  protected ChainLinkRecord() {}

  ChainLinkRecord(UUID id, UUID jobId, int number, gotera.formats.signed.Chain.Link link) {
    this.id = id;
    this.jobId = jobId;
    this.number = number;
    this.at = link.at();
    this.by = link.by();
    this.what = link.what();
    this.hash = link.hash();
  }
}
