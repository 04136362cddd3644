package gotera.web.watch;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Who may read the figures without an account.
 *
 * @param token what a program that watches sends as a bearer token; empty lets only leads read
 */
@ConfigurationProperties("gotera.watch")
record WatchProperties(String token) {}
