package gotera.web.voice;

import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
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
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(recording.mediaType()))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
        .body(recording.sound());
  }
}
