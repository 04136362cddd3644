package gotera.web.refill;

import gotera.pressure.law.Medium;
import gotera.refill.DryHold;
import gotera.refill.FillSteps.FillStep;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The holds without coolant of a job: by air or by a vacuum, before it is filled. */
@Component
class DryHolds {
  private static final String BATTERY = "battery";
  private static final String BATTERY_CAP = "second-tank.cap";

  private final PressureService tests;

  DryHolds(PressureService tests) {
    this.tests = tests;
  }

  /** A hold, and what it says of filling. */
  record Held(DryHold says, PressureTestView test) {}

  /** The newest sealed hold that does a step, of the step's own loop. */
  Optional<Held> of(UUID jobId, FillStep step) {
    return step.does().hold().flatMap(m -> newest(jobId, m, step));
  }

  private Optional<Held> newest(UUID jobId, Medium medium, FillStep step) {
    return tests.all(jobId).stream()
        .filter(t -> t.finishedAt().isPresent() && t.hold().medium() == medium)
        .filter(t -> t.loop().isEmpty() || t.loop().equals(BATTERY) == battery(step))
        .reduce((a, b) -> b)
        .map(t -> new Held(DryHold.of(t.result().verdict()), t));
  }

  private static boolean battery(FillStep step) {
    return step.at().equals(BATTERY_CAP);
  }
}
