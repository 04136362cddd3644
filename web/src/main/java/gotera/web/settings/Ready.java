package gotera.web.settings;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Says in the log that everything stands, data and accounts too: the start command waits for it.
 */
@Component
class Ready {
  private static final Logger LOG = LoggerFactory.getLogger(Ready.class);

  @EventListener
  void on(AvailabilityChangeEvent<ReadinessState> event) {
    if (event.getState() == ReadinessState.ACCEPTING_TRAFFIC) {
      LOG.info("Gotera is ready");
    }
  }
}
