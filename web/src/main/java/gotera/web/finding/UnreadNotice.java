package gotera.web.finding;

import gotera.web.figures.Figures;
import gotera.web.job.JobPageContributor;
import gotera.web.words.Words;
import gotera.work.Step;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Says on every page of a job that lines of its log cannot be read, where there are some. */
@Component
class UnreadNotice implements JobPageContributor {
  private final FindingService findings;
  private final Words words;

  UnreadNotice(FindingService findings, Words words) {
    this.findings = findings;
    this.words = words;
  }

  @Override
  public void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model) {
    int unread = findings.unread(jobId).size();
    if (unread > 0) {
      model.put("unread", words.say("finding.unread.count", unread));
    }
  }
}
