package gotera.web.link;

import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.storage.Hashes;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Secrets;
import gotera.web.storage.Write;
import gotera.word.Worded;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Links by which a customer reads one job's report, or decides on its quote, without an account.
 */
@Service
public class CustomerLinkService {
  /** How long a link opens (our judgement, untested). */
  private static final Duration OPEN = Duration.ofDays(90);

  private final CustomerLinkRecords links;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;
  private final Secrets secrets;

  CustomerLinkService(
      CustomerLinkRecords links,
      JobChanges changes,
      Identifiers identifiers,
      Secrets secrets,
      Clock clock,
      JobMemo memo) {
    this.memo = memo;
    this.secrets = secrets;
    this.links = links;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** What a link opens. */
  public enum Purpose implements Worded {
    /** The report, to read. */
    REPORT,
    /** The quote, to decide on. */
    QUOTE,
    /** The diary of the level, to write in. */
    DIARY
  }

  /** A link as the workshop sees it. */
  public record Link(UUID id, String by, String made, String ends, boolean opens) {}

  /** Makes a link; what is returned is shown once and kept nowhere. */
  @Write
  public String make(UUID jobId, Purpose purpose, String by) {
    String token = secrets.token();
    Instant now = clock.instant();
    links.save(
        new CustomerLinkRecord(
            identifiers.next(),
            jobId,
            purpose.word(),
            Hashes.sha256(token),
            now,
            by,
            now.plus(OPEN)));
    changes.count(jobId);
    return token;
  }

  /** The job a link opens, if it does. */
  @Transactional(readOnly = true)
  public Optional<UUID> jobOf(String token, Purpose purpose) {
    return links
        .findByTokenSha256(Hashes.sha256(token))
        .filter(link -> link.purpose.equals(purpose.word()))
        .filter(link -> link.opensAt(clock.instant()))
        .map(link -> link.jobId);
  }

  /** The links of a job, the newest first. */
  @Transactional(readOnly = true)
  public List<Link> of(UUID jobId, Purpose purpose) {
    return memo.of("links", jobId, () -> links.findByJobIdOrderByMadeAtDesc(jobId)).stream()
        .filter(l -> l.purpose.equals(purpose.word()))
        .map(
            l ->
                new Link(
                    l.id,
                    l.madeBy,
                    Figures.moment(l.madeAt),
                    Figures.moment(l.endsAt),
                    l.opensAt(clock.instant())))
        .toList();
  }

  /** Withdraws a link of a job: it opens nothing any more. */
  @Write
  public void withdraw(UUID jobId, UUID linkId) {
    CustomerLinkRecord link =
        links
            .findById(linkId)
            .filter(l -> l.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("report link " + linkId));
    if (link.withdrawnAt == null) {
      link.withdrawnAt = clock.instant();
      links.save(link);
      changes.count(jobId);
    }
  }
}
