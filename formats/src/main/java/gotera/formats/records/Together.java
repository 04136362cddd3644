package gotera.formats.records;

import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** What the members of a record have to be together. */
final class Together {
  /** A moment, and the one that it does not come before. */
  private record NotBefore(String later, String earlier) {}

  private static final List<NotBefore> ORDER =
      List.of(
          new NotBefore("due_at", "begun_at"),
          new NotBefore("ended_at", "begun_at"),
          new NotBefore("clock_to", "clock_from"),
          new NotBefore("closed_at", "started_at"),
          new NotBefore("finished_at", "started_at"));

  /** What belongs together: one is there exactly where the other is. */
  private record Both(String one, String other) {}

  private static final List<Both> BOTH =
      List.of(
          new Both("withdrawn_at", "withdrawn_by"),
          new Both("ended_at", "ended_by"),
          new Both("discarded_at", "discarded_by"),
          new Both("refitted_at", "refitted_by"),
          new Both("closed_at", "ending"),
          new Both("finished_at", "seal"));

  private Together() {}

  /**
   * What is wrong.
   *
   * @param member at which member
   * @param found what stands there
   * @param expected what should
   */
  record Wrong(String member, String found, String expected) {}

  /** What is wrong with the members together, the first of it. */
  static Optional<Wrong> wrong(String table, JsonNode row) {
    if (table.endsWith(RecordsFormat.HISTORY)) {
      return Optional.empty(); // an earlier state may have been half written
    }
    for (Both both : BOTH) {
      if (knows(table, both.one())
          && knows(table, both.other())
          && said(row, both.one()).isEmpty() != said(row, both.other()).isEmpty()) {
        String there = said(row, both.one()).isEmpty() ? both.other() : both.one();
        String missing = there.equals(both.one()) ? both.other() : both.one();
        return Optional.of(new Wrong(missing, "nothing", "something, as there is " + there));
      }
    }
    for (NotBefore order : ORDER) {
      String later = said(row, order.later()).replace('T', ' ');
      String earlier = said(row, order.earlier()).replace('T', ' ');
      if (!later.isEmpty() && !earlier.isEmpty() && later.compareTo(earlier) < 0) {
        return Optional.of(
            new Wrong(order.later(), later, "a moment not before " + order.earlier()));
      }
    }
    return Optional.empty();
  }

  private static boolean knows(String table, String member) {
    return RecordsFormat.member(table, member).isPresent();
  }

  private static String said(JsonNode row, String member) {
    JsonNode value = row.path(member);
    return value.isNull() || value.isMissingNode() ? "" : value.asString("");
  }
}
