package gotera.web.security;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Who sends a request, for counting: the account, or the address where nobody is signed in. */
final class Client {
  private Client() {}

  static String of(HttpServletRequest request) {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    return who == null || who instanceof AnonymousAuthenticationToken
        ? address(request)
        : "account " + who.getName();
  }

  /** Whether somebody is signed in. */
  static boolean isKnown() {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    return who != null && !(who instanceof AnonymousAuthenticationToken);
  }

  static String address(HttpServletRequest request) {
    return "address " + request.getRemoteAddr();
  }
}
