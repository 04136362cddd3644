package gotera.web.photo;

import gotera.web.figures.FieldProblems;
import gotera.web.frame.NotFound;
import gotera.web.storage.Hashes;
import gotera.web.storage.Identifiers;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;

/** Reads, keeps and gives photographs. */
@Service
public class PhotoService {
  private final PhotoRecords photos;
  private final Identifiers identifiers;
  private final Clock clock;

  PhotoService(PhotoRecords photos, Identifiers identifiers, Clock clock) {
    this.photos = photos;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The photograph in an upload, if there is one; what is wrong with it is said at its field. */
  public Optional<Photograph> read(FieldProblems problems, @Nullable MultipartFile upload)
      throws IOException {
    if (upload == null || upload.isEmpty()) {
      return Optional.empty();
    }
    Photograph.Outcome outcome =
        upload.getSize() > Photograph.MOST_BYTES
            ? Photograph.Outcome.of(Photograph.Problem.TOO_LARGE)
            : Photograph.read(upload.getBytes());
    outcome.problem().ifPresent(p -> problems.add("photo", "problem.photo-" + p.word()));
    return outcome.photograph();
  }

  /** Keeps a photograph, within the transaction of what it belongs to. */
  @Transactional(propagation = Propagation.MANDATORY)
  public UUID keep(UUID jobId, Photograph photograph, String by) {
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

  /**
   * A photograph of another workshop, read like an upload; empty where it is none. One that holds
   * nothing but its picture stays as it is, byte for byte.
   */
  public Optional<Photograph> anew(byte[] brought) {
    return Photograph.read(brought)
        .photograph()
        .map(read -> PlainJpeg.is(brought) && read.fits() ? read.with(brought) : read);
  }

  /** A photograph that was kept. */
  @Transactional(readOnly = true)
  public Optional<Photograph> kept(UUID id) {
    return photos.findById(id).map(p -> new Photograph(p.jpeg, p.width, p.height));
  }

  /** A photograph whose spots can be measured. */
  @Transactional(readOnly = true)
  public SpotOfPhotograph spots(UUID id) {
    try {
      return new SpotOfPhotograph(jpeg(id));
    } catch (IOException e) {
      throw new UncheckedIOException("photo " + id, e);
    }
  }

  /**
   * A photograph of a job, for paper.
   *
   * @param id which it is
   * @param at when it was kept
   * @param by who kept it
   * @param jpeg the picture, small enough to print many
   */
  public record Printed(UUID id, Instant at, String by, byte[] jpeg) {}

  /** The photographs of a job, the oldest first. */
  @Transactional(readOnly = true)
  public List<Printed> printed(UUID jobId) {
    return photos.ofJob(jobId).stream()
        .map(id -> photos.findById(id).orElseThrow())
        .map(p -> new Printed(p.id, p.writtenAt, p.writtenBy, Photograph.forPrint(p.jpeg)))
        .toList();
  }

  /** A photograph (JPEG), or not found. */
  @Transactional(readOnly = true)
  byte[] jpeg(UUID id) {
    return photos.findById(id).orElseThrow(() -> new NotFound("photo " + id)).jpeg;
  }
}
