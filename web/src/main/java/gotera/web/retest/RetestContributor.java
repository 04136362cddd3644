package gotera.web.retest;

import gotera.web.figures.Figures;
import gotera.web.job.JobPageContributor;
import gotera.work.Step;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Adds before, after and the statement to the re-test's page. */
@Component
class RetestContributor implements JobPageContributor {
  private final RetestService retests;

  RetestContributor(RetestService retests) {
    this.retests = retests;
  }

  @Override
  public void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model) {
    if (step == Step.RE_TEST) {
      retests.page(jobId, figures).ifPresent(page -> model.put("retest", page));
    }
  }
}
