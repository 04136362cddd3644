package gotera.web.demo;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings of the demonstration.
 *
 * @param password password of its accounts; empty means that no demonstration is loaded
 */
@ConfigurationProperties("gotera.demo")
record DemoProperties(String password) {
  boolean wanted() {
    return !password.isBlank();
  }
}
