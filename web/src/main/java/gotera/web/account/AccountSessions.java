package gotera.web.account;

import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.stereotype.Component;

/** The sessions of accounts, wherever they were begun: they live in the database. */
@Component
class AccountSessions {
  private final FindByIndexNameSessionRepository<?> sessions;

  AccountSessions(FindByIndexNameSessionRepository<?> sessions) {
    this.sessions = sessions;
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
