package gotera.web.pressure;

import java.util.UUID;

/**
 * Where a test stands, whether it can be read or not.
 *
 * @param id its identifier
 * @param jobId its job
 * @param phase what it is for
 */
public record Where(UUID id, UUID jobId, Phase phase) {}
