package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation.Looked;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.job.JobService;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The circuit of a job and what was seen at its joints. */
@Service
public class CircuitService {
  private final LeakSiteRecords sites;
  private final EngineTypeService types;
  private final PhotoService photos;
  private final JobService jobs;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  CircuitService(
      LeakSiteRecords sites,
      EngineTypeService types,
      PhotoService photos,
      JobService jobs,
      JobChanges changes,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.sites = sites;
    this.types = types;
    this.photos = photos;
    this.jobs = jobs;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The circuit of a job's vehicle, as it is now. */
  public Circuit circuit(UUID jobId) {
    return types.asNow(jobId);
  }

  /**
   * What is to be said of each joint of the circuit that was looked at, in its order: wet where it
   * was last wet in any state, for a dry look in another one does not hide that; else what was seen
   * last.
   */
  public List<LeakSite> sites(UUID jobId) {
    Map<String, Map<LookState, LeakSite>> seen = new LinkedHashMap<>();
    circuit(jobId).joints().forEach(j -> seen.put(j.code(), new LinkedHashMap<>()));
    for (LeakSite site : looks(jobId)) {
      Map<LookState, LeakSite> byState = seen.get(site.joint());
      if (byState == null) {
        continue; // a place that this vehicle does not have any more
      }
      if (site.saw() == Sight.CLEANED) {
        byState.clear();
      }
      byState.remove(site.state());
      byState.put(site.state(), site);
    }
    return seen.values().stream()
        .filter(m -> !m.isEmpty())
        .map(m -> telling(List.copyOf(m.values())))
        .toList();
  }

  private static LeakSite telling(List<LeakSite> byState) {
    LeakSite last = byState.get(byState.size() - 1);
    return byState.stream().filter(LeakSite::wet).reduce((a, b) -> b).orElse(last);
  }

  /** Takes a look back; it stays in the history. */
  @Write
  public void withdraw(UUID jobId, UUID id, String by) {
    LeakSiteRecord site =
        sites
            .findById(id)
            .filter(s -> s.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("look " + id));
    if (site.withdrawnAt == null) {
      site.withdrawnAt = clock.instant();
      site.withdrawnBy = by;
      sites.save(site);
      changes.count(jobId);
    }
  }

  /** Everything that was seen at the joints, in order of time. */
  public List<LeakSite> looks(UUID jobId) {
    return memo.of(
        "looks",
        jobId,
        () ->
            sites.findByJobIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(jobId).stream()
                .map(CircuitService::site)
                .sorted(Comparator.comparing(LeakSite::at))
                .toList());
  }

  /**
   * What was seen to leak at places that the circuit does not have any more, since it was changed:
   * the last look at each.
   */
  public List<LeakSite> gone(UUID jobId) {
    Circuit now = circuit(jobId);
    Map<String, LeakSite> gone = new LinkedHashMap<>();
    for (LeakSite look : looks(jobId)) {
      if (now.joint(look.joint()).isEmpty()) {
        gone.put(look.joint(), look);
      }
    }
    return gone.values().stream().filter(s -> s.wet() || s.saw() == Sight.STAINED).toList();
  }

  /** Photographs of a joint on vehicles of the same engine type, the newest first. */
  @Transactional(readOnly = true)
  List<UUID> photographs(UUID jobId, String joint) {
    List<UUID> vehicles = types.sameType(jobId);
    List<UUID> same = vehicles.isEmpty() ? List.of(jobId) : jobs.of(vehicles);
    return sites
        .findByJointAndJobIdInAndPhotoIdIsNotNullAndWithdrawnAtIsNullOrderByWrittenAtDesc(
            joint, same)
        .stream()
        .map(s -> s.photoId)
        .filter(Objects::nonNull)
        .toList();
  }

  /** Writes down what was seen at a joint, without note and photograph. */
  @Write
  public void log(UUID jobId, Looked look, String by) {
    keep(jobId, new Seen(look, Optional.empty(), "", Optional.empty()), by);
  }

  /**
   * What was seen at a joint.
   *
   * @param look the look
   * @param happened when it was, where it is written down later
   * @param note anything else
   * @param photograph its photograph
   */
  public record Seen(
      Looked look, Optional<Instant> happened, String note, Optional<Photograph> photograph) {}

  /** Writes down what was seen at a joint. */
  @Write
  public void log(UUID jobId, Seen seen, String by) {
    keep(jobId, seen, by);
  }

  private void keep(UUID jobId, Seen seen, String by) {
    LeakSiteRecord record =
        new LeakSiteRecord(
            identifiers.next(), jobId, seen.look(), seen.note(), clock.instant(), by);
    record.happenedAt = seen.happened().orElse(null);
    record.photoId = seen.photograph().map(p -> photos.keep(jobId, p, by)).orElse(null);
    sites.save(record);
    changes.count(jobId);
  }

  /** The moment before which everything has happened that is written down. */
  Instant now() {
    return clock.instant();
  }

  private static LeakSite site(LeakSiteRecord s) {
    return new LeakSite(
        s.id,
        s.joint,
        s.saw,
        s.state,
        optional(s.dropsPerMinute),
        optional(s.pressureKpa),
        s.driedBefore,
        s.note,
        Optional.ofNullable(s.photoId),
        s.at(),
        s.writtenAt,
        s.writtenBy);
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
