package gotera.web.finding;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A finding.
 *
 * @param id its identifier
 * @param check word of the check
 * @param subject what it is about: a joint, a spot, a kind; empty for the whole
 * @param saw what was seen or done
 * @param amount a number in the unit the check says
 * @param second another one
 * @param note anything else
 * @param photo its photograph
 * @param at when
 * @param by by whom
 */
public record Finding(
    UUID id,
    String check,
    String subject,
    String saw,
    OptionalDouble amount,
    OptionalDouble second,
    String note,
    Optional<UUID> photo,
    Instant at,
    String by) {}
