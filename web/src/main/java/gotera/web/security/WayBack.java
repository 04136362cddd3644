package gotera.web.security;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;

/**
 * The page that somebody wanted before signing in, kept by the browser that asked: whoever only
 * knocks writes nothing to the database.
 */
final class WayBack {
  /** Longest address that is kept (characters): ours are shorter. */
  private static final int LONGEST = 1000;

  private WayBack() {}

  static RequestCache cache() {
    CookieRequestCache cache = new CookieRequestCache();
    cache.setRequestMatcher(WayBack::isPage);
    cache.setCookieCustomizer(c -> c.setAttribute("SameSite", "Lax"));
    return cache;
  }

  private static boolean isPage(HttpServletRequest request) {
    String accepts = request.getHeader(HttpHeaders.ACCEPT);
    String query = request.getQueryString();
    return request.getMethod().equals("GET")
        && accepts != null
        && accepts.contains(MediaType.TEXT_HTML_VALUE)
        && request.getRequestURL().length() + (query == null ? 0 : query.length()) <= LONGEST;
  }
}
