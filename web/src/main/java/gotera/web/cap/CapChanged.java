package gotera.web.cap;

import java.util.UUID;

/**
 * The cap of a job was written: whoever keeps its limit keeps the new one.
 *
 * @param jobId the job
 * @param cap the cap as it is now
 */
public record CapChanged(UUID jobId, CapFacts cap) {}
