package gotera.web.pressure.hold;

import gotera.web.job.StepReporter;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.words.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The place that the pressure test has on the rail; of the re-test more is told than its test. */
@Configuration
class PressureConfiguration {
  @Bean
  StepReporter pressureTestReporter(PressureService tests, Words words) {
    return new PressureReporter(tests, words, Phase.SEARCH);
  }
}
