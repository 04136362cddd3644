package gotera.web.voice;

import gotera.web.frame.Brought;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Plays what was said. */
@Controller
class VoiceController {
  private final VoiceService voices;

  VoiceController(VoiceService voices) {
    this.voices = voices;
  }

  @GetMapping("/voice/{id}")
  ResponseEntity<byte[]> recording(@PathVariable UUID id) {
    Recording recording = voices.recording(id);
    // what it is follows from its first bytes, whatever was stored beside it
    return Brought.of(
        recording.sound(),
        Recording.read(recording.sound())
            .map(r -> MediaType.parseMediaType(r.mediaType()))
            .orElse(MediaType.APPLICATION_OCTET_STREAM));
  }
}
