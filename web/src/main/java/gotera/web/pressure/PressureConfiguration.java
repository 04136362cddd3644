package gotera.web.pressure;

import gotera.web.job.StepReporter;
import gotera.web.shell.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The two places that pressure tests have on the rail. */
@Configuration
class PressureConfiguration {
  @Bean
  StepReporter pressureTestReporter(PressureService tests, Words words) {
    return new PressureReporter(tests, words, Phase.SEARCH);
  }

  @Bean
  StepReporter reTestReporter(PressureService tests, Words words) {
    return new PressureReporter(tests, words, Phase.RE_TEST);
  }
}
