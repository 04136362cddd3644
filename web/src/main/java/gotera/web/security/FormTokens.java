package gotera.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;

/**
 * The tokens that forms carry against forgery. Whoever is signed in has theirs in the session; a
 * stranger has it in a cookie that scripts cannot read, so that opening a page of strangers writes
 * nothing to the database.
 */
final class FormTokens implements CsrfTokenRepository {
  private static final String COOKIE = "FORM";
  private static final String HEADER = "X-CSRF-TOKEN";

  private final HttpSessionCsrfTokenRepository ofAccounts = new HttpSessionCsrfTokenRepository();
  private final CookieCsrfTokenRepository ofStrangers = new CookieCsrfTokenRepository();

  FormTokens() {
    ofAccounts.setHeaderName(HEADER);
    ofStrangers.setHeaderName(HEADER);
    ofStrangers.setCookieName(COOKIE);
    ofStrangers.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Lax").path("/"));
  }

  private CsrfTokenRepository of(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    boolean known =
        session != null
            && session.getAttribute(
                    HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY)
                != null;
    return known ? ofAccounts : ofStrangers;
  }

  @Override
  public CsrfToken generateToken(HttpServletRequest request) {
    return of(request).generateToken(request);
  }

  @Override
  public void saveToken(
      @Nullable CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
    of(request).saveToken(token, request, response);
  }

  @Override
  public @Nullable CsrfToken loadToken(HttpServletRequest request) {
    return of(request).loadToken(request);
  }
}
