package gotera.web.demo;

import gotera.coolant.Chemistry;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.said.RefillSaid.CoolantIn;
import gotera.said.RefillSaid.MixWanted;
import gotera.said.RefillSaid.PurgeSign;
import gotera.said.RefillSaid.Source;
import gotera.web.refill.RefillService;
import java.util.Optional;
import java.util.UUID;

/** A refill that is done: chemistry by the log of calls, mixed, every step, heater hot. */
final class DemoRefill {
  private static final double JUG = 2000;

  private DemoRefill() {}

  static void put(RefillService refills, UUID job, double strength, String by) {
    refills.chemistry(
        job, new CoolantIn(Chemistry.HYBRID, Optional.of(Source.LOG)), Chemistry.HYBRID, by);
    refills.mix(job, new MixWanted(Glycol.ETHYLENE, strength, JUG), by);
    refills.steps(job).forEach(s -> refills.doStep(job, s, by));
    refills.tell(job, PurgeSign.CABIN_HOT, by);
    refills.tell(job, PurgeSign.NEEDLE_STEADY, by);
  }
}
