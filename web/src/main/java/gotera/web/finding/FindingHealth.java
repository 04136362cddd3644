package gotera.web.finding;

import io.micrometer.core.instrument.MeterRegistry;
import java.util.Collection;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Counts the lines of logs that nobody could read, each once, since the program started. */
@Component
class FindingHealth implements HealthIndicator {
  private static final Logger LOG = LoggerFactory.getLogger(FindingHealth.class);

  /** More are not told apart (our judgement: then something is wrong with all of them). */
  private static final int MOST = 10_000;

  private final Set<UUID> unread = ConcurrentHashMap.newKeySet();

  FindingHealth(MeterRegistry meters) {
    meters.gauge("gotera.findings.unread", unread, Set::size);
  }

  void seen(Collection<Unread> lines) {
    for (Unread line : lines) {
      if (unread.size() < MOST && unread.add(line.id())) {
        LOG.warn("line {} of a log cannot be read: {}", line.id(), line.words());
      }
    }
  }

  /** It goes on working: what is not read is taken for nothing, and said. */
  @Override
  public Health health() {
    return Health.up().withDetail("unread", unread.size()).build();
  }
}
