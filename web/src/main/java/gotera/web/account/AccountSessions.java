package gotera.web.account;

import gotera.web.storage.Hashes;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.stereotype.Component;

/** The sessions of accounts, wherever they were begun: they live in the database. */
@Component
class AccountSessions {
  private static final int KEY = 24;

  private final FindByIndexNameSessionRepository<?> sessions;

  AccountSessions(FindByIndexNameSessionRepository<?> sessions) {
    this.sessions = sessions;
  }

  /**
   * A session.
   *
   * @param key what it is known by on a page; its identifier never leaves the cookie
   * @param begun when somebody signed in
   * @param seen when it was used last, to the minute
   * @param mine whether it is the one that asks
   */
  record Begun(String key, Instant begun, Instant seen, boolean mine) {}

  /** The sessions of an account, the one used last first. */
  List<Begun> of(String login, String mine) {
    return sessions.findByPrincipalName(login).values().stream()
        .map(
            s ->
                new Begun(
                    key(s.getId()),
                    s.getCreationTime(),
                    s.getLastAccessedTime(),
                    s.getId().equals(mine)))
        .sorted(Comparator.comparing(Begun::seen).reversed())
        .toList();
  }

  /** Ends one of an account's sessions. */
  void endOne(String login, String key) {
    sessions.findByPrincipalName(login).keySet().stream()
        .filter(id -> key(id).equals(key))
        .forEach(sessions::deleteById);
  }

  private static String key(String id) {
    return Hashes.sha256(id.getBytes(StandardCharsets.UTF_8)).substring(0, KEY);
  }

  /** Ends all sessions of an account but one; an empty identifier spares none. */
  void end(String login, String spared) {
    for (String id : sessions.findByPrincipalName(login).keySet()) {
      if (!id.equals(spared)) {
        sessions.deleteById(id);
      }
    }
  }
}
