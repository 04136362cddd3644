package gotera.web.cap;

import gotera.cap.CapTest;
import gotera.quantity.GaugePressure;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;

/** What a cap tester's readings say, in words. */
public final class CapTestWords {
  private CapTestWords() {}

  /** A sentence for each thing that is wrong, or that it is right; none where nothing was tried. */
  public static List<String> of(TesterReadings readings, GaugePressure stamp, Words words) {
    CapTest test = readings.of(stamp);
    List<String> said = new ArrayList<>();
    test.problems().forEach(p -> said.add(words.say("cap-test." + p.word())));
    if (readings.tried() && !test.doubtful()) {
      said.add(words.say(test.complete() ? "cap-test.right" : "cap-test.right-so-far"));
    }
    return said;
  }
}
