package gotera.web.finding;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * A finding.
 *
 * @param id its identifier
 * @param check word of the check
 * @param subject what it is about: a joint, a spot, a kind; empty for the whole
 * @param saw what was seen or done
 * @param measures what was measured with it
 * @param unmet conditions that were not met, so that it does not count
 * @param note anything else
 * @param photo its photograph
 * @param at when it happened
 * @param writtenAt when it was written down
 * @param by by whom
 */
public record Finding(
    UUID id,
    String check,
    String subject,
    String saw,
    Measures measures,
    Set<String> unmet,
    String note,
    Optional<UUID> photo,
    Instant at,
    Instant writtenAt,
    String by) {}
