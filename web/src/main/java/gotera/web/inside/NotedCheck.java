package gotera.web.inside;

import gotera.said.Answer;
import gotera.word.Worded;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The looks and touches that are answered by one word. */
public enum NotedCheck implements Worded {
  /** What comes out of the exhaust. */
  EXHAUST(Answer.Exhaust.values(), true),
  /** How hard the upper hose is. */
  HARD_HOSES(Answer.HardHoses.values(), true),
  /** Whether the cabin gets warm. */
  CABIN_HEAT(Answer.CabinHeat.values(), false),
  /** Whether the fan is driven. */
  FAN_CLUTCH(Answer.FanClutch.values(), true),
  /** How a cylinder that was wet was left. */
  CYLINDERS_LEFT(Answer.CylindersLeft.values(), true);

  private final List<Answer> answers;
  private final boolean burns;

  NotedCheck(Answer[] answers, boolean burns) {
    this.answers = List.of(answers);
    this.burns = burns;
  }

  /** Words of what can be answered. */
  public List<String> answers() {
    return answers.stream().map(Answer::word).toList();
  }

  /** Whether only an engine that burns something has it. */
  boolean burns() {
    return burns;
  }

  /** The answer that a word is. */
  Optional<Answer> answer(String word) {
    return answers.stream().filter(a -> a.word().equals(word)).findFirst();
  }

  /** Those that a vehicle has. */
  static List<NotedCheck> of(boolean burns) {
    return Arrays.stream(values()).filter(n -> burns || !n.burns).toList();
  }
}
