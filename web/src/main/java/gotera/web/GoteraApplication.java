package gotera.web;

import gotera.web.settings.SettingsCheck;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.resilience.annotation.EnableResilientMethods;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application's entry point. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableResilientMethods
@EnableScheduling
public class GoteraApplication {

  /** Starts the application; a wrong configuration is said without a trace and ends with 78. */
  public static void main(String[] arguments) {
    try {
      SpringApplication.run(GoteraApplication.class, arguments);
    } catch (SettingsCheck.Faulty e) {
      System.err.println("gotera: " + e.getMessage());
      System.exit(e.getExitCode());
    }
  }

  /** The clock that everything asks for the time. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
