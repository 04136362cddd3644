package gotera.web.demo;

import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.Readings;
import gotera.web.pressure.Sealing;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Puts whole simulated holds into the demonstration. */
@Component
class DemoHolds {
  private final PressureService tests;
  private final Readings readings;
  private final Sealing sealing;

  DemoHolds(PressureService tests, Readings readings, Sealing sealing) {
    this.tests = tests;
    this.readings = readings;
    this.sealing = sealing;
  }

  /** A finished test. */
  void sealed(UUID job, Phase phase, HoldSetup hold, Trace trace, String by) {
    UUID test = tests.begin(job, phase, hold, "digital", by);
    readings.addTrace(test, trace, by);
    sealing.finish(test);
  }
}
