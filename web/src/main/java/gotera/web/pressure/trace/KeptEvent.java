package gotera.web.pressure.trace;

import gotera.pressure.trace.TraceEvent;
import java.util.UUID;

/** An event and where it is kept. */
public record KeptEvent(UUID id, TraceEvent event, boolean fromFile) {}
