package gotera.web.job;

import gotera.web.figures.Figures;
import gotera.work.Step;
import java.util.UUID;

/**
 * Where a page of a job is. Controllers put it into the model under the name {@code place}; rail
 * and panel follow from it.
 *
 * @param jobId the job
 * @param step the step being shown
 * @param figures how to write figures
 */
public record JobPlace(UUID jobId, Step step, Figures figures) {}
