package gotera.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends sessions that are too old, however busy they are (our judgement, untested). */
final class SessionAge extends OncePerRequestFilter {
  private static final Duration OLDEST = Duration.ofDays(7);

  private final Clock clock;

  SessionAge(Clock clock) {
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    HttpSession session = request.getSession(false);
    if (session != null && clock.millis() - session.getCreationTime() > OLDEST.toMillis()) {
      session.invalidate();
    }
    chain.doFilter(request, response);
  }
}
