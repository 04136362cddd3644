package gotera.web.repair;

import gotera.repair.StripList;
import gotera.web.circuit.CircuitWords;
import gotera.web.repair.StripService.Off;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Says what is known of something that came off, and what is open of it. */
@Component
class StripWords {
  private final CircuitWords names;
  private final Words words;

  StripWords(CircuitWords names, Words words) {
    this.names = names;
    this.words = words;
  }

  /** What is open of a line, in words. */
  String open(StripList.TakenOff line) {
    if (!line.refitted()) {
      return words.say("strip.off", line.what());
    }
    return line.missing() > 0
        ? words.say("strip.missing", line.what(), line.missing())
        : words.say("strip.left-over", line.what(), -line.missing());
  }

  /** What is known of something that came off, in words. */
  String detail(UUID jobId, Off off) {
    List<String> detail = new ArrayList<>();
    if (off.fasteners() > 0) {
      detail.add(words.say("strip.fasteners", off.fasteners(), off.size()));
    }
    if (off.hidden()) {
      detail.add(words.say("strip.hidden"));
    }
    if (!off.torque().isEmpty()) {
      detail.add(words.say("strip.torque", off.torque()));
    }
    if (!off.joint().isEmpty()) {
      detail.add(words.say("strip.opens", names.joint(jobId, off.joint())));
    }
    if (off.needless()) {
      detail.add(words.say("strip.needless"));
    }
    return String.join(", ", detail);
  }
}
