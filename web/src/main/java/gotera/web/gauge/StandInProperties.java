package gotera.web.gauge;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How a simulated gauge is started.
 *
 * @param command the program that is started; empty starts none
 */
@ConfigurationProperties("gotera.stand-in")
record StandInProperties(String command) {
  boolean offered() {
    return !command.isBlank();
  }
}
