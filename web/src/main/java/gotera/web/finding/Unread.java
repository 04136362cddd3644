package gotera.web.finding;

import java.time.Instant;
import java.util.UUID;

/**
 * A line of a job's log that says what no version of this program has written: it is kept and shown
 * as it is, and taken for nothing.
 *
 * @param id its identifier
 * @param check the word of its check
 * @param saw what it says was seen
 * @param subject what it says it is about
 * @param at when it happened
 * @param by by whom
 */
public record Unread(UUID id, String check, String saw, String subject, Instant at, String by) {
  /** Its words, as they are in the table. */
  public String words() {
    return subject.isEmpty() ? check + " " + saw : check + " " + saw + " " + subject;
  }
}
