package gotera.web.job;

import gotera.web.job.OpenJobs.OpenJob;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Open jobs to choose one from, where something was done without a job. */
@Component
public class NamedJobs {
  /** So many to choose from at most (our judgement). */
  private static final int MOST = 200;

  private final OpenJobs jobs;
  private final JobService all;

  NamedJobs(OpenJobs jobs, JobService all) {
    this.jobs = jobs;
    this.all = all;
  }

  /** A job and how people call it. */
  public record NamedJob(UUID id, String name) {}

  /** Open jobs whose vehicle has a name, the newest first. */
  public List<NamedJob> newest() {
    return jobs.newest(MOST).stream()
        .filter(j -> j.vehicle().isPresent())
        .map(j -> new NamedJob(j.id(), name(j)))
        .toList();
  }

  private static String name(OpenJob job) {
    String vehicle = job.vehicle().orElse("");
    return job.complaint().isBlank() ? vehicle : vehicle + " \u00b7 " + job.complaint();
  }

  /** The open job that was chosen; empty where none was, or it is closed. */
  public Optional<UUID> open(Optional<UUID> chosen) {
    return chosen.filter(id -> all.require(id).open());
  }
}
