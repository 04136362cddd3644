package gotera.web.circuit;

import gotera.web.job.FoundBesides;
import gotera.web.words.Words;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Hoses, clamps and bearings in a condition that was noted. */
@Component
class ConditionsFound implements FoundBesides {
  private final ConditionService conditions;
  private final CircuitWords names;
  private final Words words;

  ConditionsFound(ConditionService conditions, CircuitWords names, Words words) {
    this.conditions = conditions;
    this.names = names;
    this.words = words;
  }

  @Override
  public List<String> found(UUID jobId) {
    return conditions.all(jobId).stream()
        .map(
            c ->
                words.say(
                    "report.place",
                    names.joint(jobId, c.what().place()),
                    words.say("condition." + c.what().saw().word())))
        .toList();
  }
}
