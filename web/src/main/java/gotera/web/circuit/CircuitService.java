package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitPresets;
import gotera.web.job.JobChanges;
import gotera.web.shell.Hashes;
import gotera.web.shell.Identifiers;
import gotera.web.shell.NotFound;
import gotera.web.shell.Write;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
  private final PhotoRecords photos;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;

  CircuitService(
      LeakSiteRecords sites,
      PhotoRecords photos,
      JobChanges changes,
      Identifiers identifiers,
      Clock clock) {
    this.sites = sites;
    this.photos = photos;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The circuit; one preset so far. */
  public Circuit circuit() {
    return CircuitPresets.inlineAcrossCapOnRadiator();
  }

  /** What was last seen at each joint that was looked at, in the order of the circuit. */
  @Transactional(readOnly = true)
  public List<LeakSite> sites(UUID jobId) {
    Map<String, LeakSite> latest = new LinkedHashMap<>();
    circuit().joints().forEach(j -> latest.put(j.code(), null));
    sites.findByJobIdOrderByWrittenAtAscIdAsc(jobId).forEach(s -> latest.put(s.joint, site(s)));
    return latest.values().stream().filter(java.util.Objects::nonNull).toList();
  }

  /** A photograph (JPEG), or not found. */
  @Transactional(readOnly = true)
  byte[] photo(UUID id) {
    return photos.findById(id).orElseThrow(() -> new NotFound("photo " + id)).jpeg;
  }

  /** Writes down what was seen at a joint, without a photograph. */
  @Write
  public void log(
      UUID jobId,
      String joint,
      String saw,
      OptionalDouble dropsPerMinute,
      OptionalDouble pressureKpa,
      String note,
      String by) {
    log(jobId, joint, saw, dropsPerMinute, pressureKpa, note, Optional.empty(), by);
  }

  /** Writes down what was seen at a joint. */
  @Write
  void log(
      UUID jobId,
      String joint,
      String saw,
      OptionalDouble dropsPerMinute,
      OptionalDouble pressureKpa,
      String note,
      Optional<Photograph> photograph,
      String by) {
    LeakSiteRecord record =
        new LeakSiteRecord(identifiers.next(), jobId, joint, saw, note, clock.instant(), by);
    record.dropsPerMinute = orNull(dropsPerMinute);
    record.pressureKpa = orNull(pressureKpa);
    record.photoId = photograph.map(p -> keep(jobId, p, by)).orElse(null);
    sites.save(record);
    changes.count(jobId);
  }

  private UUID keep(UUID jobId, Photograph photograph, String by) {
    PhotoRecord photo =
        new PhotoRecord(
            identifiers.next(),
            jobId,
            photograph,
            Hashes.sha256(photograph.jpeg()),
            clock.instant(),
            by);
    photos.save(photo);
    return photo.id;
  }

  private static LeakSite site(LeakSiteRecord s) {
    return new LeakSite(
        s.joint,
        s.saw,
        optional(s.dropsPerMinute),
        optional(s.pressureKpa),
        s.note,
        Optional.ofNullable(s.photoId),
        s.writtenAt,
        s.writtenBy);
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
