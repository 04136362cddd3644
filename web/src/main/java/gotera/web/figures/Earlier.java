package gotera.web.figures;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/**
 * When something happened that is written down later, as typed: nothing for now.
 *
 * @param happenedOn its day; today where only a time is typed
 * @param happenedTime its time of day; noon where only a day is typed
 */
public record Earlier(String happenedOn, String happenedTime) {
  /** It happens now. */
  public static final Earlier NOW = new Earlier("", "");

  /** Everything absent is empty. */
  public Earlier {
    happenedOn = Entry.text(happenedOn, 10);
    happenedTime = Entry.text(happenedTime, 5);
  }

  /** When that was; empty for now. What has not come yet is a problem at its field. */
  public Optional<Instant> read(FieldProblems problems, Instant now) {
    if (happenedOn.isEmpty() && happenedTime.isEmpty()) {
      return Optional.empty();
    }
    ZoneId zone = ZoneId.systemDefault();
    try {
      LocalDate today = LocalDate.ofInstant(now, zone);
      LocalDate day = happenedOn.isEmpty() ? today : LocalDate.parse(happenedOn);
      if (happenedTime.isEmpty() && day.equals(today)) {
        return Optional.empty();
      }
      LocalTime time = happenedTime.isEmpty() ? LocalTime.NOON : LocalTime.parse(happenedTime);
      Instant at = day.atTime(time).atZone(zone).toInstant();
      if (at.isAfter(now) || at.isBefore(now.atZone(zone).minusYears(1).toInstant())) {
        problems.add("happenedOn", "problem.day-ahead", (day + " " + happenedTime).strip());
      }
      return Optional.of(at);
    } catch (DateTimeParseException e) {
      problems.add("happenedOn", "problem.day", (happenedOn + " " + happenedTime).strip());
      return Optional.empty();
    }
  }
}
