package gotera.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.account.SecondFactorDemand.Demanded;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.filter.OncePerRequestFilter;

class SecondFactorDemandTests {
  /** Accounts whose name ends in "-two" have one. */
  private static final SecondFactor KNOWN =
      new SecondFactor(new JdbcTemplate(), Clock.systemUTC()) {
        @Override
        Optional<State> of(String login) {
          return login.endsWith("-two")
              ? Optional.of(new State(Instant.EPOCH, 1))
              : Optional.empty();
        }
      };

  @ParameterizedTest
  @CsvSource({
    "leads, lead, LEAD, /jobs/1, true",
    "leads, lead, LEAD, /actuator/metrics, true",
    "leads, lead, LEAD, /accountants, true",
    "leads, lead, LEAD, /account/second-factor, false",
    "leads, lead, LEAD, /styles/gotera.css, false",
    "leads, lead-two, LEAD, /actuator/metrics, false",
    "leads, bench, TECHNICIAN, /jobs/1, false",
    "everyone, bench, TECHNICIAN, /jobs/1, true",
    "everyone, , TECHNICIAN, /report/x, false",
  })
  void whoMustHaveOneIsLedToItFromEveryAddress(
      String of, String login, String role, String path, boolean led) throws Exception {
    FilterRegistrationBean<OncePerRequestFilter> demand =
        new SecondFactorDemand().secondFactorDemanded(new Demanded(of), KNOWN);
    MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
    request.setServletPath(path);
    request.setRemoteUser(login);
    request.addUserRole(role);
    MockHttpServletResponse response = new MockHttpServletResponse();
    MockFilterChain chain = new MockFilterChain();
    demand.getFilter().doFilter(request, response, chain);
    assertThat(response.getRedirectedUrl()).isEqualTo(led ? "/account/second-factor" : null);
    assertThat(chain.getRequest() != null).as("goes on").isEqualTo(!led);
  }
}
