package gotera.web.pressure.trace;

import java.util.Optional;
import java.util.UUID;

/**
 * What is known of a trace before something is added.
 *
 * @param span from where to where its readings go; empty where there are none
 * @param nextSeq the number of the next block
 * @param entryOf the test that has the entry already
 */
record Tail(Optional<Span> span, int nextSeq, Optional<UUID> entryOf) {}
