package gotera.retest;

import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * When the level is to be looked at again after a repair.
 *
 * @param what which look it is
 * @param at when
 */
public record FollowUp(Look what, Instant at) {
  /** The looks (times: common practice, no source). */
  public enum Look implements Worded {
    NEXT_MORNING(Duration.ofHours(16)),
    AFTER_A_WEEK(Duration.ofDays(7)),
    AFTER_A_MONTH(Duration.ofDays(30));

    private final Duration after;

    Look(Duration after) {
      this.after = after;
    }
  }

  /** All of them after a repair. */
  public static List<FollowUp> after(Instant repaired) {
    List<FollowUp> all = new ArrayList<>();
    for (Look look : Look.values()) {
      all.add(new FollowUp(look, repaired.plus(look.after)));
    }
    return all;
  }
}
