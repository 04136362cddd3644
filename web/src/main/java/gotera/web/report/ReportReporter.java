package gotera.web.report;

import gotera.web.job.StepReporter;
import gotera.web.link.CustomerLinkService;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail about the hand over. */
@Component
class ReportReporter implements StepReporter {
  private final CustomerLinkService links;
  private final Words words;

  ReportReporter(CustomerLinkService links, Words words) {
    this.links = links;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.HAND_OVER;
  }

  @Override
  public StepStatus status(UUID jobId) {
    long open =
        links.of(jobId, CustomerLinkService.Purpose.REPORT).stream()
            .filter(CustomerLinkService.Link::opens)
            .count();
    return open == 0
        ? StepStatus.UNTOUCHED
        : new StepStatus(StepState.DONE, words.say("report.links-open", open));
  }
}
