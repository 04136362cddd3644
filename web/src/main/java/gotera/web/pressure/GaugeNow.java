package gotera.web.pressure;

import gotera.pressure.law.Medium;
import gotera.pressure.trace.TraceEvent;
import gotera.web.circuit.UnderPressure;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the gauge showed last in a test that runs, or that ended because a place was seen. */
@Component
class GaugeNow implements UnderPressure {
  private final PressureService tests;

  GaugeNow(PressureService tests) {
    this.tests = tests;
  }

  @Override
  public Optional<Pressed> left(UUID jobId) {
    return tests.all(jobId).stream()
        .filter(t -> t.trace().size() > 0)
        .reduce((a, b) -> b)
        .filter(t -> t.finishedAt().isEmpty() || seen(t))
        // an evacuated system shows no coolant anywhere, and one that is not pumped up is cold
        .filter(t -> t.conditions().medium() == Medium.LIQUID && gauge(t) > 0)
        .map(t -> new Pressed(gauge(t), t.finishedAt()));
  }

  private static double gauge(PressureTestView test) {
    return test.trace().gauge(test.trace().size() - 1);
  }

  private static boolean seen(PressureTestView test) {
    return test.trace().last(TraceEvent.Kind.PLACE_SEEN).isPresent();
  }
}
