package gotera.web.decide;

import gotera.web.decide.QuoteService.QuoteLine;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail how far the customer's sheet is decided. */
@Component
class DecideReporter implements StepReporter {
  private final QuoteService quotes;
  private final Words words;

  DecideReporter(QuoteService quotes, Words words) {
    this.quotes = quotes;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.DECIDE;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<QuoteLine> lines = quotes.lines(jobId);
    if (lines.isEmpty()) {
      return StepStatus.UNTOUCHED;
    }
    long open = lines.stream().filter(l -> l.decided().what() == DecisionWord.OPEN).count();
    return open == 0
        ? new StepStatus(StepState.DONE, words.say("decide.rail-done", lines.size()))
        : new StepStatus(StepState.PARTLY, words.say("decide.rail-open", open));
  }
}
