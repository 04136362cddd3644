package gotera.web.voice;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/**
 * A recording as it is kept: what it is follows from its first bytes, whatever its name says.
 *
 * @param sound the recording
 * @param mediaType its media type
 */
public record Recording(byte[] sound, String mediaType) {
  /** Largest recording (bytes); our judgement: some minutes of speech. */
  static final int MOST_BYTES = 8 * 1024 * 1024;

  private static final int ENOUGH = 12;

  /** A recording; nothing where it is none that browsers play. */
  static Optional<Recording> read(byte[] upload) {
    return type(upload).map(t -> new Recording(upload, t));
  }

  private static Optional<String> type(byte[] b) {
    if (b.length < ENOUGH) {
      return Optional.empty();
    }
    String start = new String(b, 0, ENOUGH, StandardCharsets.ISO_8859_1);
    if (Arrays.equals(Arrays.copyOf(b, 4), new byte[] {0x1A, 0x45, (byte) 0xDF, (byte) 0xA3})) {
      return Optional.of("audio/webm");
    }
    if (start.startsWith("OggS")) {
      return Optional.of("audio/ogg");
    }
    if (start.startsWith("RIFF") && start.startsWith("WAVE", 8)) {
      return Optional.of("audio/wav");
    }
    if (start.startsWith("ftyp", 4)) {
      return Optional.of("audio/mp4");
    }
    boolean frame = (b[0] & 0xFF) == 0xFF && (b[1] & 0xE0) == 0xE0;
    return start.startsWith("ID3") || frame ? Optional.of("audio/mpeg") : Optional.empty();
  }
}
