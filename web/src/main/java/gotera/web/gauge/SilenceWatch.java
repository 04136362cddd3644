package gotera.web.gauge;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Looks every few seconds whether a gauge fell silent. */
@Component
class SilenceWatch {
  private static final Logger LOG = LoggerFactory.getLogger(SilenceWatch.class);
  private static final int EVERY = 3; // s

  private final FellSilent fellSilent;

  SilenceWatch(FellSilent fellSilent) {
    this.fellSilent = fellSilent;
  }

  @Scheduled(fixedDelay = EVERY, timeUnit = TimeUnit.SECONDS)
  void look() {
    try {
      fellSilent.look();
    } catch (DataAccessException | TransactionException e) {
      // the next look tells it, once the database answers again
      LOG.debug("cannot look for silent gauges now", e);
    }
  }
}
