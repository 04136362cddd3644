package gotera.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** The application's entry point. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class GoteraApplication {

  /** Starts the application. */
  public static void main(String[] arguments) {
    SpringApplication.run(GoteraApplication.class, arguments);
  }

  /** The clock that everything asks for the time. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
