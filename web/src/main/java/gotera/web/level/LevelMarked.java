package gotera.web.level;

import java.util.UUID;

/** A mark of the level was written down. */
public record LevelMarked(UUID jobId) {}
