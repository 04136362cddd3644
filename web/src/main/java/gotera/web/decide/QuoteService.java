package gotera.web.decide;

import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.word.Worded;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The customer's sheet of a job: lines, each with its own decision. */
@Service
public class QuoteService {
  private final QuoteLineRecords records;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  QuoteService(
      QuoteLineRecords records,
      JobChanges changes,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.memo = memo;
    this.records = records;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * What a line costs, without tax.
   *
   * @param lowest at the least
   * @param expected on average
   * @param highest at the most
   * @param currency three letters; empty for hours of labour
   */
  public record Price(
      OptionalDouble lowest, OptionalDouble expected, OptionalDouble highest, String currency) {
    /** Nothing is known. */
    static final Price NONE =
        new Price(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), "");
  }

  /**
   * What was decided.
   *
   * @param what of the line
   * @param until to which day it was put off
   * @param by the name of who decided
   * @param at when
   */
  public record Decided(
      DecisionWord what, Optional<LocalDate> until, String by, Optional<Instant> at) {}

  /**
   * A line.
   *
   * @param id its identifier
   * @param kind what it is about
   * @param what its words
   * @param detail what belongs to it
   * @param price what it costs
   * @param decided what was decided
   */
  public record QuoteLine(
      UUID id, LineKind kind, String what, String detail, Price price, Decided decided) {}

  /** The lines of a job that stand, in order of time. */
  @Transactional(readOnly = true)
  public List<QuoteLine> lines(UUID jobId) {
    return memo.of(
        "quote",
        jobId,
        () ->
            records.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
                .filter(r -> r.withdrawnAt == null)
                .map(QuoteService::line)
                .toList());
  }

  private static QuoteLine line(QuoteLineRecord r) {
    return new QuoteLine(
        r.id,
        Worded.of(LineKind.class, r.kind).orElse(LineKind.COMPLAINT),
        r.what,
        r.detail,
        new Price(optional(r.lowest), optional(r.expected), optional(r.highest), r.currency),
        new Decided(
            Worded.of(DecisionWord.class, r.decision).orElse(DecisionWord.OPEN),
            Optional.ofNullable(r.putOffTo),
            r.decidedBy == null ? "" : r.decidedBy,
            Optional.ofNullable(r.decidedAt)));
  }

  /** Puts a line on the sheet. */
  @Write
  public void add(UUID jobId, LineKind kind, String what, String detail, Price price, String by) {
    QuoteLineRecord record = new QuoteLineRecord(identifiers.next(), jobId, clock.instant(), by);
    record.kind = kind.word();
    record.what = what;
    record.detail = detail;
    record.lowest = orNull(price.lowest());
    record.expected = orNull(price.expected());
    record.highest = orNull(price.highest());
    record.currency = price.currency();
    records.save(record);
    changes.count(jobId);
  }

  /** Puts something that the customer consents to on the sheet. */
  @Write
  public void ask(UUID jobId, Consent consent, String what, String means, String by) {
    QuoteLineRecord record = new QuoteLineRecord(identifiers.next(), jobId, clock.instant(), by);
    record.kind = LineKind.CONSENT.word();
    record.consent = consent.word();
    record.what = what;
    record.detail = means;
    records.save(record);
    changes.count(jobId);
  }

  /** Whether the customer consented to something: asked on the sheet, and accepted. */
  @Transactional(readOnly = true)
  public boolean consented(UUID jobId, Consent consent) {
    return records.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
        .filter(r -> r.withdrawnAt == null && consent.word().equals(r.consent))
        .anyMatch(r -> r.decision.equals(DecisionWord.ACCEPTED.word()));
  }

  /** Takes a line off the sheet; it stays in the history. */
  @Write
  public void withdraw(UUID jobId, UUID lineId, String by) {
    QuoteLineRecord record = require(jobId, lineId);
    if (record.withdrawnAt == null) {
      record.withdrawnAt = clock.instant();
      record.withdrawnBy = by;
      changes.count(jobId);
    }
  }

  /**
   * Decides a line; deciding again replaces it. Of several ways that are open one is taken: the
   * others are refused with it.
   *
   * @param until a day, where it is put off
   * @param by the name of who decides
   */
  @Write
  public void decide(
      UUID jobId, UUID lineId, DecisionWord what, Optional<LocalDate> until, String by) {
    QuoteLineRecord record = require(jobId, lineId);
    set(record, what, until, by);
    if (record.kind.equals(LineKind.WAY.word()) && what == DecisionWord.ACCEPTED) {
      for (QuoteLineRecord other : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
        boolean another = !other.id.equals(lineId) && other.kind.equals(LineKind.WAY.word());
        if (another && other.withdrawnAt == null) {
          set(other, DecisionWord.REFUSED, Optional.empty(), by);
        }
      }
    }
    changes.count(jobId);
  }

  private void set(
      QuoteLineRecord record, DecisionWord what, Optional<LocalDate> until, String by) {
    boolean open = what == DecisionWord.OPEN;
    record.decision = what.word();
    record.putOffTo = what == DecisionWord.PUT_OFF ? until.orElse(null) : null;
    record.decidedBy = open ? null : by;
    record.decidedAt = open ? null : clock.instant();
  }

  private QuoteLineRecord require(UUID jobId, UUID lineId) {
    return records
        .findById(lineId)
        .filter(r -> r.jobId.equals(jobId))
        .orElseThrow(() -> new NotFound("line " + lineId));
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
