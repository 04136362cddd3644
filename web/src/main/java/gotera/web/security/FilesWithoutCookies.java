package gotera.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is the same for everybody (styles, scripts, fonts) is given without asking who wants it: no
 * cookie is read, and so no session looked up.
 */
final class FilesWithoutCookies extends OncePerRequestFilter {
  /** Where they are. */
  static final String[] AT = {
    "/static/*", "/styles/*", "/fonts/*", "/js/*", "/favicon.svg", "/notices.txt"
  };

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(
        new HttpServletRequestWrapper(request) {
          @Override
          public Cookie @Nullable [] getCookies() {
            return null;
          }
        },
        response);
  }
}
