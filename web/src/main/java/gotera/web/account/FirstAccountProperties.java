package gotera.web.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How the first account is made.
 *
 * @param code what must be typed for it; empty means that none can be made
 */
@ConfigurationProperties("gotera.first-account")
record FirstAccountProperties(String code) {
  boolean opens(String typed) {
    return !code.isBlank()
        && MessageDigest.isEqual(
            code.getBytes(StandardCharsets.UTF_8), typed.getBytes(StandardCharsets.UTF_8));
  }
}
