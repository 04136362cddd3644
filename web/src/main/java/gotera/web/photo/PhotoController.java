package gotera.web.photo;

import gotera.web.frame.Brought;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Shows photographs: always the picture written here, never what was uploaded. */
@Controller
class PhotoController {
  private final PhotoService photos;

  PhotoController(PhotoService photos) {
    this.photos = photos;
  }

  @GetMapping("/photos/{id}")
  ResponseEntity<byte[]> photo(@PathVariable UUID id) {
    return Brought.of(photos.jpeg(id), MediaType.IMAGE_JPEG);
  }
}
