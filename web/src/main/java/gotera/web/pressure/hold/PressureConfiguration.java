package gotera.web.pressure.hold;

import gotera.web.job.StepReporter;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.words.Words;
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
