package gotera.web.job;

import gotera.web.job.JobHeadline.Headline;
import gotera.web.job.JobList.Row;
import gotera.work.Step;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Open jobs with what was kept of each, for pages that must not wait for it to be worked out. */
@Component
public class OpenJobs {
  private final JobList list;
  private final JobSummaries summaries;

  OpenJobs(JobList list, JobSummaries summaries) {
    this.list = list;
    this.summaries = summaries;
  }

  /**
   * An open job.
   *
   * @param vehicle its vehicle, once it is named
   * @param step the step it waits for, as it was when it was worked out last
   * @param headline what its list says of it then
   * @param seq its count of changes now
   * @param fresh whether that still holds
   */
  public record OpenJob(
      UUID id,
      Optional<String> vehicle,
      String complaint,
      Optional<Step> step,
      Optional<Headline> headline,
      long seq,
      boolean fresh) {}

  /** Open jobs, the newest first, at most so many. */
  @Transactional(readOnly = true)
  public List<OpenJob> newest(int most) {
    return list.newest(most).stream().map(OpenJobs::shown).toList();
  }

  private static OpenJob shown(Row row) {
    Optional<JobSummary> known = row.kept().or(row::before);
    return new OpenJob(
        row.id(),
        row.vehicle(),
        row.complaint(),
        known.map(JobSummary::waitsFor),
        known.flatMap(JobSummary::headline),
        row.seq(),
        row.kept().isPresent());
  }

  /** Works out anew what a list says of a job, and keeps it. */
  public void workOut(OpenJob job) {
    summaries.anew(job.id(), job.seq());
  }
}
