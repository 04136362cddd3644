package gotera.web.security;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AuthenticationDetailsSource;
import org.springframework.security.authorization.AuthorizationEventPublisher;
import org.springframework.security.authorization.SpringAuthorizationEventPublisher;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.SimpleUrlAuthenticationFailureHandler;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Who reaches which address, and the headers every answer carries. What is not named here is
 * closed: reading to those not signed in, writing to everyone but technicians and leads.
 */
@Configuration
class SecurityConfiguration {
  static final String CONTENT =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self'; "
          + "media-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  private static final String[] ANYONE = {
    "/sign-in",
    "/first-account",
    "/report/*",
    "/report/*/pdf",
    "/quote/*",
    "/diary/*",
    "/diary/*/undo",
    "/styles/**",
    "/fonts/**",
    "/js/**",
    "/static/**",
    "/favicon.svg",
    "/notices.txt",
    "/actuator/health/**"
  };

  private static final String[] LEADS = {"/accounts/**", "/actuator/**", "/job-files/**"};

  /**
   * What the lead alone writes: what the shop charges, what stands above its reports, and jobs of
   * another workshop.
   */
  private static final String[] LEADS_WRITE = {
    "/prices/**", "/letterhead/**", "/jobs/import", "/workshop/**"
  };

  /** What every account may write: its own matters, and what the service desk does. */
  private static final String[] EVERYONE_WRITES = {
    "/sign-out",
    "/unit",
    "/account/**",
    "/jobs/new",
    "/jobs/*/intake",
    "/jobs/*/report-links/**",
    "/jobs/*/diary-links/**",
    "/jobs/*/sign",
    "/jobs/*/quote/**",
    "/jobs/*/close",
    "/jobs/*/reopen",
    "/jobs/*/discard"
  };

  /**
   * What devices speak to: each request brings its own token, which is looked up where it is used;
   * no session, no cookie, and so no form token either.
   */
  @Bean
  @Order(1)
  SecurityFilterChain devices(HttpSecurity http, LimitProperties limits) throws Exception {
    return http.securityMatcher("/api/**")
        .authorizeHttpRequests(
            requests ->
                requests
                    .dispatcherTypeMatchers(DispatcherType.ERROR)
                    .permitAll()
                    .requestMatchers(HttpMethod.POST, "/api/gauges/pair", "/api/gauges/readings")
                    .permitAll()
                    .requestMatchers(HttpMethod.GET, "/api/openapi.json")
                    .permitAll()
                    .anyRequest()
                    .denyAll())
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .csrf(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .headers(
            headers ->
                headers.contentSecurityPolicy(
                    csp -> csp.policyDirectives("default-src 'none'; frame-ancestors 'none'")))
        .addFilterBefore(new RateLimits(limits), AuthorizationFilter.class)
        .build();
  }

  @Bean
  SecurityFilterChain security(
      HttpSecurity http,
      LimitProperties limits,
      Clock clock,
      AuthenticationDetailsSource<HttpServletRequest, ?> details)
      throws Exception {
    return http.authorizeHttpRequests(
            requests ->
                requests
                    // an answer that goes on was allowed when it began
                    .dispatcherTypeMatchers(
                        DispatcherType.ERROR, DispatcherType.FORWARD, DispatcherType.ASYNC)
                    .permitAll()
                    .requestMatchers(ANYONE)
                    .permitAll()
                    .requestMatchers(LEADS)
                    .hasRole("LEAD")
                    .requestMatchers(HttpMethod.POST, LEADS_WRITE)
                    .hasRole("LEAD")
                    .requestMatchers(HttpMethod.GET)
                    .authenticated()
                    .requestMatchers(HttpMethod.HEAD)
                    .authenticated()
                    .requestMatchers(HttpMethod.POST, EVERYONE_WRITES)
                    .authenticated()
                    .requestMatchers(HttpMethod.POST)
                    .hasAnyRole("TECHNICIAN", "LEAD")
                    .anyRequest()
                    .denyAll())
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .loginProcessingUrl("/sign-in")
                    .authenticationDetailsSource(details)
                    .failureHandler(wrong())
                    .permitAll())
        .requestCache(c -> c.requestCache(WayBack.cache()))
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT))
                    .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                    .crossOriginOpenerPolicy(
                        p ->
                            p.policy(
                                org.springframework.security.web.header.writers
                                    .CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy
                                    .SAME_ORIGIN))
                    .permissionsPolicyHeader(
                        p -> p.policy("camera=(self), geolocation=(), microphone=()")))
        .csrf(c -> c.csrfTokenRepository(new FormTokens()))
        .exceptionHandling(e -> e.accessDeniedHandler(SecurityConfiguration::refused))
        .addFilterBefore(new SessionAge(clock), SecurityContextHolderFilter.class)
        // before anything reads what is sent
        .addFilterBefore(new RateLimits(limits), CsrfFilter.class)
        .build();
  }

  /** A wrong try leaves nothing behind but its count. */
  private static AuthenticationFailureHandler wrong() {
    SimpleUrlAuthenticationFailureHandler handler =
        new SimpleUrlAuthenticationFailureHandler("/sign-in?error");
    handler.setAllowSessionCreation(false);
    return handler;
  }

  /**
   * Whoever is not signed in any more is led to signing in, and by it back to what was typed; who
   * is signed in and may not is refused.
   */
  private static void refused(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException denied)
      throws IOException, ServletException {
    if (SecurityContextHolder.getContext().getAuthentication() == null) {
      response.sendRedirect(request.getContextPath() + "/sign-in");
    } else {
      new AccessDeniedHandlerImpl().handle(request, response, denied);
    }
  }

  @Bean
  DiskRoom diskRoom(DiskProperties disk, MeterRegistry meters) {
    DiskRoom room = new DiskRoom(disk);
    Gauge.builder("gotera.disk.above.reserve.bytes", room, DiskRoom::aboveReserve)
        .description("Free room for the data before nothing is written any more")
        .register(meters);
    return room;
  }

  /** Ready is who can write: the disk of the database counts, not the one of the program. */
  @Bean
  HealthIndicator databaseDiskHealthIndicator(DiskRoom room) {
    return () -> room.isEnough() ? Health.up().build() : Health.outOfService().build();
  }

  @Bean
  FilterRegistrationBean<StorageGone> storageGone(DiskRoom room) {
    FilterRegistrationBean<StorageGone> registration =
        new FilterRegistrationBean<>(new StorageGone(room));
    // before the sessions, which live in the database
    registration.setOrder(Ordered.HIGHEST_PRECEDENCE + 1);
    return registration;
  }

  @Bean
  FilterRegistrationBean<FilesWithoutCookies> filesWithoutCookies() {
    FilterRegistrationBean<FilesWithoutCookies> registration =
        new FilterRegistrationBean<>(new FilesWithoutCookies());
    registration.addUrlPatterns(FilesWithoutCookies.AT);
    registration.setOrder(Ordered.HIGHEST_PRECEDENCE + 1);
    return registration;
  }

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> unreadBodies() {
    return factory -> factory.addEngineValves(new UnreadBodies());
  }

  /** Refusals are told to whoever listens, for the log. */
  @Bean
  AuthorizationEventPublisher authorizationEvents(ApplicationEventPublisher events) {
    return new SpringAuthorizationEventPublisher(events);
  }

  @Bean
  PasswordEncoder passwordEncoder() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }
}
