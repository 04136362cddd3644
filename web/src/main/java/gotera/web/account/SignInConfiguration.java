package gotera.web.account;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationDetailsSource;

/** What is taken from the form of signing in besides name and password. */
@Configuration
class SignInConfiguration {
  @Bean
  AuthenticationDetailsSource<HttpServletRequest, SignInProvider.WithCode> code() {
    return SignInProvider.WithCode::new;
  }
}
