package gotera.web.job;

import java.util.Optional;
import java.util.UUID;

/** What the front page says about a job's leak. */
public interface JobHeadline {
  /** The headline, once there is something to say. */
  Optional<Headline> of(UUID jobId);

  /**
   * A headline.
   *
   * @param shape the verdict's shape as SVG
   * @param text a few words
   * @param tight whether the job is proven tight
   */
  record Headline(String shape, String text, boolean tight) {}
}
