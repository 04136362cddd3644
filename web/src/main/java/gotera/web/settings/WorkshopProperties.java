package gotera.web.settings;

import java.time.ZoneId;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where the workshop is.
 *
 * @param timeZone its time zone, as in the IANA database; empty for that of this machine
 * @param altitudeMetres its height above the sea (m); empty where it was left so, that is at the
 *     sea
 */
@ConfigurationProperties("gotera.workshop")
public record WorkshopProperties(String timeZone, @Nullable Double altitudeMetres) {
  /** Its height above the sea (m). */
  public double altitude() {
    return Objects.requireNonNullElse(altitudeMetres, 0.0);
  }

  /** The time zone. */
  public ZoneId zone() {
    return timeZone.isBlank() ? ZoneId.systemDefault() : ZoneId.of(timeZone);
  }
}
