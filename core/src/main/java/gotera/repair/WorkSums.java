package gotera.repair;

import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * Sums of a sheet of time and cost: what the job needed, tools and needless work apart. Every
 * minute and every price stands in exactly one of them.
 *
 * @param needed of what the job needed
 * @param tools of tools, which stay in the shop
 * @param needless of what turned out not to be needed
 */
public record WorkSums(Sum needed, Sum tools, Sum needless) {
  /**
   * Time and money.
   *
   * @param minutes time (min)
   * @param price in the shop's currency
   */
  public record Sum(double minutes, double price) {
    Sum plus(Item item) {
      return new Sum(minutes + item.minutes(), price + item.price());
    }
  }

  /**
   * A line.
   *
   * @param tool whether it is a tool
   * @param needless whether it turned out not to be needed
   * @param minutes time (min)
   * @param price in the shop's currency
   */
  public record Item(boolean tool, boolean needless, double minutes, double price) {}

  /** Whole minutes of a clock between two moments (min), never below zero: clocks can be set. */
  public static double minutes(Instant from, Instant to) {
    return Math.max(0, Math.round(Duration.between(from, to).toSeconds() / 60.0));
  }

  /** The sums of some lines. */
  public static WorkSums of(List<Item> items) {
    Sum needed = new Sum(0, 0);
    Sum tools = new Sum(0, 0);
    Sum needless = new Sum(0, 0);
    for (Item item : items) {
      if (item.tool()) {
        tools = tools.plus(item);
      } else if (item.needless()) {
        needless = needless.plus(item);
      } else {
        needed = needed.plus(item);
      }
    }
    return new WorkSums(needed, tools, needless);
  }
}
