package gotera.web.cap;

import gotera.quantity.GaugePressure;
import gotera.web.job.FoundBesides;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What is wrong with the cap, as its tester showed. */
@Component
class CapFound implements FoundBesides {
  private final CapService caps;
  private final Words words;

  CapFound(CapService caps, Words words) {
    this.caps = caps;
    this.words = words;
  }

  @Override
  public List<String> found(UUID jobId) {
    return caps.record(jobId).stream()
        .flatMap(c -> CapService.readings(c).of(new GaugePressure(c.ratedKpa)).problems().stream())
        .map(p -> words.say("cap-test." + p.word()))
        .toList();
  }
}
