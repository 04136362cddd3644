package gotera.web.circuit;

import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Shows photographs: always the picture written here, never what was uploaded. */
@Controller
class PhotoController {
  private final CircuitService circuits;

  PhotoController(CircuitService circuits) {
    this.circuits = circuits;
  }

  @GetMapping("/photos/{id}")
  ResponseEntity<byte[]> photo(@PathVariable UUID id) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
        .body(circuits.photo(id));
  }
}
