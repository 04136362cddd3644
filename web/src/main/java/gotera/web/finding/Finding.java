package gotera.web.finding;

import gotera.said.Said;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A line of a job's log.
 *
 * @param id its identifier
 * @param said what was said, seen or done
 * @param note anything else, as a person wrote it
 * @param photo its photograph
 * @param at when it happened
 * @param writtenAt when it was written down
 * @param by by whom
 */
public record Finding<S extends Said>(
    UUID id, S said, String note, Optional<UUID> photo, Instant at, Instant writtenAt, String by) {}
