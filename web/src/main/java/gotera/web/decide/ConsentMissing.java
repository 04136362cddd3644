package gotera.web.decide;

import gotera.web.job.Ending;
import gotera.web.job.InTheWay;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A vehicle is left leaking only with the consent of whoever owns it. */
@Component
class ConsentMissing implements InTheWay {
  private final QuoteService quotes;
  private final Words words;

  ConsentMissing(QuoteService quotes, Words words) {
    this.quotes = quotes;
    this.words = words;
  }

  @Override
  public List<String> of(UUID jobId, Ending how) {
    return how == Ending.LEFT_LEAKING && !quotes.consented(jobId, Consent.LEFT_LEAKING)
        ? List.of(words.say("problem.no-consent"))
        : List.of();
  }
}
