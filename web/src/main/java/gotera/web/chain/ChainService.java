package gotera.web.chain;

import gotera.formats.signed.Chain;
import gotera.formats.signed.Chain.Link;
import gotera.web.history.HistorySource;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Binds what was done in a job into its chain whenever something of it leaves the workshop. What is
 * bound stays in the words of its time; an entry is known again by its moment and its account.
 */
@Service
public class ChainService {
  private final ChainLinkRecords records;
  private final List<HistorySource> sources;
  private final Identifiers identifiers;

  ChainService(ChainLinkRecords records, List<HistorySource> sources, Identifiers identifiers) {
    this.records = records;
    this.sources = sources;
    this.identifiers = identifiers;
  }

  /** The chain as it was bound last. */
  @Transactional(readOnly = true)
  public Chain of(UUID jobId) {
    return new Chain(
        records.findByJobIdOrderByNumber(jobId).stream()
            .map(r -> new Link(r.at, r.by, r.what, r.hash))
            .toList());
  }

  /** The chain with everything done so far. */
  @Write
  public Chain upToNow(UUID jobId) {
    Chain chain = of(jobId);
    Map<String, Integer> bound = new HashMap<>();
    chain.links().forEach(l -> bound.merge(l.at() + " " + l.by(), 1, Integer::sum));
    int before = chain.links().size();
    for (HistoryEntry e : done(jobId)) {
      if (bound.merge(e.at() + " " + e.by(), -1, Integer::sum) < 0) {
        chain = chain.and(e.at(), e.by(), e.what());
      }
    }
    for (int i = before; i < chain.links().size(); i++) {
      records.save(new ChainLinkRecord(identifiers.next(), jobId, i + 1, chain.links().get(i)));
    }
    return chain;
  }

  /** What was done, the oldest first, to the microsecond that the database keeps. */
  private List<HistoryEntry> done(UUID jobId) {
    return sources.stream()
        .flatMap(s -> s.of(jobId).stream())
        .map(e -> new HistoryEntry(e.at().truncatedTo(ChronoUnit.MICROS), e.by(), e.what()))
        .sorted(Comparator.comparing(HistoryEntry::at).thenComparing(HistoryEntry::what))
        .toList();
  }
}
