package gotera.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Leads whoever must have a second factor, and has none yet, to setting it up. */
@Configuration
class SecondFactorDemand implements WebMvcConfigurer, HandlerInterceptor {
  private static final String SET_UP = "/account/second-factor";

  private final Demanded demanded;
  private final SecondFactor second;

  SecondFactorDemand(Demanded demanded, SecondFactor second) {
    this.demanded = demanded;
    this.second = second;
  }

  /**
   * Of whom it is demanded.
   *
   * @param of {@code nobody}, {@code leads} or {@code everyone}
   */
  @ConfigurationProperties("gotera.second-factor")
  record Demanded(String of) {}

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    if (!demanded.of().equals("nobody")) {
      registry
          .addInterceptor(this)
          .excludePathPatterns(
              "/account/**", "/sign-in", "/sign-out", "/static/**", "/error", "/unit");
    }
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
      throws IOException {
    String login = request.getRemoteUser();
    boolean must =
        login != null
            && (demanded.of().equals("everyone") || request.isUserInRole("LEAD"))
            && second.of(login).isEmpty();
    if (must) {
      response.sendRedirect(SET_UP);
    }
    return !must;
  }
}
