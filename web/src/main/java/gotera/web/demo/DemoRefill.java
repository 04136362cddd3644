package gotera.web.demo;

import gotera.coolant.Chemistry;
import gotera.web.refill.RefillService;
import java.util.UUID;

/** A refill that is done: chemistry by the log of calls, mixed, every step, heater hot. */
final class DemoRefill {
  private static final double JUG = 2000;

  private DemoRefill() {}

  static void put(RefillService refills, UUID job, double strength, String by) {
    refills.chemistry(job, Chemistry.HYBRID, "log", Chemistry.HYBRID, by);
    refills.mix(job, strength, JUG, "ethylene", by);
    refills.steps(job).forEach(s -> refills.doStep(job, s, by));
    refills.tell(job, "cabin-hot", by);
    refills.tell(job, "needle-steady", by);
  }
}
