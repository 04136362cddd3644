package gotera.web.repair;

import java.time.Instant;
import java.util.UUID;

/**
 * A note on a repair.
 *
 * @param id its identifier
 * @param joint word of the joint that was repaired; empty for none in particular
 * @param note what was done
 * @param renewed whether the part is new since
 * @param at when it was done
 * @param writtenAt when that was written down
 * @param writtenBy by whom
 */
public record RepairNote(
    UUID id,
    String joint,
    String note,
    boolean renewed,
    Instant at,
    Instant writtenAt,
    String writtenBy) {}
