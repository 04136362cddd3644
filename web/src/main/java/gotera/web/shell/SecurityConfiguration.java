package gotera.web.shell;

import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who reaches which address, and the headers every answer carries. */
@Configuration
class SecurityConfiguration {
  private static final String CONTENT =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self'; "
          + "connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  private static final String[] MEASURES = {
    "/tests/**",
    "/jobs/*/cap",
    "/jobs/*/pressure-test",
    "/jobs/*/re-test",
    "/jobs/*/find",
    "/jobs/*/repair",
    "/test-now"
  };

  @Bean
  SecurityFilterChain security(HttpSecurity http) throws Exception {
    return http.authorizeHttpRequests(
            requests ->
                requests
                    .dispatcherTypeMatchers(DispatcherType.ERROR, DispatcherType.FORWARD)
                    .permitAll()
                    .requestMatchers(
                        "/sign-in",
                        "/styles/**",
                        "/fonts/**",
                        "/js/**",
                        "/favicon.svg",
                        "/actuator/health/**")
                    .permitAll()
                    .requestMatchers(org.springframework.http.HttpMethod.POST, MEASURES)
                    .hasAnyRole("TECHNICIAN", "LEAD")
                    .anyRequest()
                    .authenticated())
        .formLogin(form -> form.loginPage("/sign-in").loginProcessingUrl("/sign-in").permitAll())
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT))
                    .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                    .permissionsPolicyHeader(
                        p -> p.policy("camera=(self), geolocation=(), microphone=()")))
        .csrf(Customizer.withDefaults())
        .build();
  }

  @Bean
  PasswordEncoder passwordEncoder() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }
}
