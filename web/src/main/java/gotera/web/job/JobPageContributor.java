package gotera.web.job;

import gotera.web.figures.Figures;
import gotera.work.Step;
import java.util.Map;
import java.util.UUID;

/** A feature that adds something to every page of a job. */
public interface JobPageContributor {
  /**
   * Adds to the page.
   *
   * @param jobId the job
   * @param step the step being shown
   * @param figures how to write figures
   * @param model what the template shows
   */
  void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model);
}
