package gotera.web.watch;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;

/**
 * A program that watches the machine has a token of its own, which opens the figures and nothing
 * else; it needs no account, no password and no second factor.
 */
@Configuration
class WatchConfiguration {
  private static final String BEARER = "Bearer ";

  @Bean
  @Order(2)
  SecurityFilterChain watching(HttpSecurity http, WatchProperties properties) throws Exception {
    return http.securityMatcher(
            request ->
                request.getServletPath().equals("/actuator/prometheus")
                    && request.getHeader(HttpHeaders.AUTHORIZATION) != null)
        .authorizeHttpRequests(
            r ->
                r.anyRequest()
                    .access(
                        (who, context) ->
                            new AuthorizationDecision(
                                opens(
                                    properties.token(),
                                    context.getRequest().getHeader(HttpHeaders.AUTHORIZATION)))))
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                    new HttpStatusEntryPoint(org.springframework.http.HttpStatus.UNAUTHORIZED)))
        .csrf(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .build();
  }

  private static boolean opens(String token, String sent) {
    return !token.isEmpty()
        && MessageDigest.isEqual(
            (BEARER + token).getBytes(StandardCharsets.UTF_8),
            sent.getBytes(StandardCharsets.UTF_8));
  }
}
