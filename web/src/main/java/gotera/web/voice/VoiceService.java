package gotera.web.voice;

import gotera.web.figures.FieldProblems;
import gotera.web.frame.NotFound;
import gotera.web.storage.Hashes;
import gotera.web.storage.Identifiers;
import java.io.IOException;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;

/** Keeps what was said. */
@Service
public class VoiceService {
  private static final String FIELD = "voice";

  private final VoiceRecords records;
  private final Identifiers identifiers;
  private final Clock clock;

  VoiceService(VoiceRecords records, Identifiers identifiers, Clock clock) {
    this.records = records;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The recording in an upload, if there is one; what is wrong with it is said at its field. */
  public Optional<Recording> read(FieldProblems problems, @Nullable MultipartFile upload)
      throws IOException {
    if (upload == null || upload.isEmpty()) {
      return Optional.empty();
    }
    if (upload.getSize() > Recording.MOST_BYTES) {
      problems.add(FIELD, "problem.voice-too-large");
      return Optional.empty();
    }
    Optional<Recording> recording = Recording.read(upload.getBytes());
    if (recording.isEmpty()) {
      problems.add(FIELD, "problem.voice-no-sound");
    }
    return recording;
  }

  /** A recording of another workshop, read like an upload; empty where it is none. */
  public Optional<Recording> anew(byte[] brought) {
    return brought.length > Recording.MOST_BYTES ? Optional.empty() : Recording.read(brought);
  }

  /** Keeps a recording, within the transaction of what it belongs to. */
  @Transactional(propagation = Propagation.MANDATORY)
  public UUID keep(UUID jobId, Recording recording, String by) {
    VoiceRecord record =
        new VoiceRecord(
            identifiers.next(),
            jobId,
            recording,
            Hashes.sha256(recording.sound()),
            clock.instant(),
            by);
    records.save(record);
    return record.id;
  }

  /** A recording, or not found. */
  @Transactional(readOnly = true)
  Recording recording(UUID id) {
    VoiceRecord record = records.findById(id).orElseThrow(() -> new NotFound("recording " + id));
    return new Recording(record.sound, record.mediaType);
  }
}
