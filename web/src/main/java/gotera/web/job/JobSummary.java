package gotera.web.job;

import gotera.web.job.JobHeadline.Headline;
import gotera.work.Step;
import java.time.Instant;
import java.util.Optional;

/**
 * What the list says of an open job.
 *
 * @param waitsFor the step it waits for
 * @param headline what is known of its leak
 * @param waitsUntil until when it waits for something that takes its time
 * @param dueAt when it says something else though nobody writes
 */
record JobSummary(
    Step waitsFor, Optional<Headline> headline, Optional<Instant> waitsUntil, Instant dueAt) {}
