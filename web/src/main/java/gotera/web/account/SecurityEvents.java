package gotera.web.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.security.authentication.event.LogoutSuccessEvent;
import org.springframework.security.authorization.event.AuthorizationDeniedEvent;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;

/**
 * Writes to the log who signed in, was refused, signed out or asked for what is not theirs. An
 * account is named by its identifier, what was typed is never written: a log holds no person's name
 * and no mistyped password.
 */
@Component
class SecurityEvents {
  private static final Logger LOG = LoggerFactory.getLogger(SecurityEvents.class);

  private final AccountRecords accounts;

  SecurityEvents(AccountRecords accounts) {
    this.accounts = accounts;
  }

  @EventListener
  void on(AuthenticationSuccessEvent event) {
    LOG.info("signed in: account {}", account(event.getAuthentication()));
  }

  @EventListener
  void on(AbstractAuthenticationFailureEvent event) {
    LOG.warn(
        "sign-in refused: account {}, {}",
        account(event.getAuthentication()),
        event.getException().getClass().getSimpleName());
  }

  @EventListener
  void on(LogoutSuccessEvent event) {
    LOG.info("signed out: account {}", account(event.getAuthentication()));
  }

  @EventListener
  void on(AuthorizationDeniedEvent<?> event) {
    Authentication asking = event.getAuthentication().get();
    // whoever is not signed in is led to signing in: no event
    if (event.getObject() instanceof HttpServletRequest request
        && asking != null
        && accounts.findByLogin(asking.getName()).isPresent()) {
      LOG.warn(
          "refused: account {}, {} {}",
          account(asking),
          request.getMethod(),
          request.getRequestURI().replaceAll("[^A-Za-z0-9/._-]", "?"));
    }
  }

  private String account(Authentication authentication) {
    return accounts
        .findByLogin(authentication.getName().strip().toLowerCase(Locale.ROOT))
        .map(a -> a.id.toString())
        .orElse("unknown");
  }
}
