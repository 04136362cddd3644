package gotera.web.inside;

import gotera.suspects.Observation.Sign;
import gotera.word.Worded;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A look or a touch whose answer is one word; some of the answers are signs of a leak. */
public enum Noted implements Worded {
  /** What comes out of the exhaust. */
  EXHAUST(List.of("clear", "white-smoke"), Map.of("white-smoke", "white-smoke"), true),
  /** How hard the upper hose is. */
  HARD_HOSES(
      List.of("soft", "hard-cold", "hard-running"),
      Map.of("hard-cold", "hoses-hard-cold", "hard-running", "hoses-hard-cold"),
      true),
  /** Whether the cabin gets warm. */
  CABIN_HEAT(List.of("hot", "cold"), Map.of("cold", "no-cabin-heat"), false),
  /** Whether the fan is driven. */
  FAN_CLUTCH(List.of("drags", "free", "locked"), Map.of(), true),
  /** How a cylinder that was wet was left. */
  CYLINDERS_LEFT(List.of("cranked", "protected"), Map.of(), true);

  private final List<String> answers;
  private final Map<String, String> signs;
  private final boolean burns;

  Noted(List<String> answers, Map<String, String> signs, boolean burns) {
    this.answers = answers;
    this.signs = signs;
    this.burns = burns;
  }

  /** Words of the answers, also in {@code check.saw.answer} of the messages. */
  public List<String> answers() {
    return answers;
  }

  /** Whether only an engine that burns something has it. */
  boolean burns() {
    return burns;
  }

  /** The sign that an answer is. */
  Optional<Sign> sign(String answer) {
    return Optional.ofNullable(signs.get(answer)).map(Sign::new);
  }
}
