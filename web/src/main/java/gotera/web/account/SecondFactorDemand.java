package gotera.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Leads whoever must have a second factor, and has none yet, to setting it up, whatever address was
 * asked for: the pages and what watches the machine alike.
 */
@Configuration
class SecondFactorDemand {
  private static final String SET_UP = "/account/second-factor";

  /** What is open before it is set up. */
  private static final List<String> OPEN =
      List.of(
          "/account",
          "/account/",
          "/sign-in",
          "/sign-out",
          "/error",
          "/unit",
          "/static/",
          "/styles/",
          "/fonts/",
          "/js/",
          "/favicon.svg");

  /**
   * Of whom it is demanded.
   *
   * @param of {@code nobody}, {@code leads} or {@code everyone}
   */
  @ConfigurationProperties("gotera.second-factor")
  record Demanded(String of) {}

  /** It stands behind the rules of who may, where it is known who asks. */
  @Bean
  FilterRegistrationBean<OncePerRequestFilter> secondFactorDemanded(
      Demanded demanded, SecondFactor second) {
    FilterRegistrationBean<OncePerRequestFilter> registration =
        new FilterRegistrationBean<>(
            new OncePerRequestFilter() {
              @Override
              protected boolean shouldNotFilter(HttpServletRequest request) {
                String path = request.getServletPath();
                return OPEN.stream()
                    .anyMatch(o -> o.endsWith("/") ? path.startsWith(o) : path.equals(o));
              }

              @Override
              protected void doFilterInternal(
                  HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                  throws ServletException, IOException {
                String login = request.getRemoteUser();
                boolean must =
                    login != null
                        && (demanded.of().equals("everyone") || request.isUserInRole("LEAD"))
                        && second.of(login).isEmpty();
                if (must) {
                  response.sendRedirect(SET_UP);
                } else {
                  chain.doFilter(request, response);
                }
              }
            });
    registration.setEnabled(!demanded.of().equals("nobody"));
    return registration;
  }
}
