package gotera.suspects;

import java.util.List;

/** A rule of the trade that applies to a job. */
public sealed interface Flag {
  /**
   * The same part failed twice soon: a gas check comes first (common practice, no source).
   *
   * @param part the part
   * @param daysAgo when it was replaced (d)
   */
  record SamePart(String part, double daysAgo) implements Flag {
    /** The same in whole weeks. */
    public long weeksAgo() {
      return Math.round(daysAgo / 7);
    }
  }

  /**
   * A gas check whose conditions failed says nothing, whatever the colour (common practice, no
   * source).
   *
   * @param conditions what failed
   */
  record GasDoesNotCount(List<String> conditions) implements Flag {
    /** Keeps its own copy. */
    public GasDoesNotCount {
      conditions = List.copyOf(conditions);
    }
  }
}
