package gotera.web.frame;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * What people brought: pictures, recordings. It is given so that a browser shows or plays it and
 * never runs it, whatever it holds: without a script, a form or an origin of its own.
 */
public final class Brought {
  private static final Duration KEPT = Duration.ofDays(30);

  private Brought() {}

  /** Gives it. */
  public static ResponseEntity<byte[]> of(byte[] content, MediaType type) {
    return ResponseEntity.ok()
        .contentType(type)
        .header("Content-Security-Policy", "sandbox; default-src 'none'")
        .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
        .body(content);
  }
}
