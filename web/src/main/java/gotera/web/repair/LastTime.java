package gotera.web.repair;

import gotera.web.circuit.EngineTypeService;
import gotera.web.job.JobService;
import gotera.web.repair.StripService.Off;
import gotera.web.repair.StripService.Shown;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came off the last time on the engine type of a job. */
@Service
public class LastTime {
  private final StripLineRecords records;
  private final StripService strips;
  private final EngineTypeService types;
  private final JobService jobs;

  LastTime(
      StripLineRecords records, StripService strips, EngineTypeService types, JobService jobs) {
    this.records = records;
    this.strips = strips;
    this.types = types;
    this.jobs = jobs;
  }

  /**
   * What came off the last time on this engine type and is not off here yet, in its order; nothing
   * where nobody took one of the type apart before.
   */
  @Transactional(readOnly = true)
  public List<Off> of(UUID jobId) {
    List<UUID> others =
        jobs.of(types.sameType(jobId)).stream().filter(j -> !j.equals(jobId)).toList();
    Set<String> here =
        strips.lines(jobId).stream().map(l -> l.off().what()).collect(Collectors.toSet());
    return records
        .findFirstByJobIdInAndWithdrawnAtIsNullOrderByWrittenAtDescIdDesc(others)
        .map(newest -> strips.lines(newest.jobId))
        .orElse(List.of())
        .stream()
        .filter(l -> l.voice().isEmpty()) // its words are in the recording
        .map(Shown::off)
        .filter(o -> !here.contains(o.what()))
        .toList();
  }
}
