package gotera.web.job;

import java.util.UUID;

/** How a feature that balances a job tells that more leaks than was found: one looks on. */
public interface LooksOn {
  /** Whether the places found do not explain what was measured. */
  boolean looksOn(UUID jobId);
}
