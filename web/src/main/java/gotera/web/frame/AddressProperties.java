package gotera.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * Where this installation is reached.
 *
 * @param address its address with scheme and port; empty means as each browser reached it
 */
@ConfigurationProperties("gotera")
public record AddressProperties(String address) {
  /** The address to hand out. */
  public String of(HttpServletRequest request) {
    return address.isBlank()
        ? ServletUriComponentsBuilder.fromContextPath(request).build().toUriString()
        : address.replaceAll("/+$", "");
  }
}
