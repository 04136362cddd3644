package gotera.web.demo;

import gotera.said.GasCheckSaid;
import gotera.said.GasCheckSaid.Filler;
import gotera.web.guide.GuideService;
import java.time.Duration;
import java.util.OptionalDouble;
import java.util.UUID;

/** A check for combustion gas that is under way while the demonstration is looked at. */
final class DemoGuides {
  private final GuideService guides;
  private final UUID job;
  private final String by;

  private DemoGuides(GuideService guides, UUID job, String by) {
    this.guides = guides;
    this.job = job;
    this.by = by;
  }

  static void put(GuideService guides, UUID job, String by) {
    DemoGuides steps = new DemoGuides(guides, job, by);
    steps.taken(new GasCheckSaid.SetUp(Filler.NECK, OptionalDouble.of(15)), 720);
    steps.taken(new GasCheckSaid.Filled(true), 690);
    steps.taken(level(62, 90, 19), 640);
    steps.taken(new GasCheckSaid.Started(), 560);
    steps.taken(new GasCheckSaid.Warmed(37), 330);
    steps.taken(new GasCheckSaid.Warmed(54), 80);
    steps.taken(level(58, 110, 57), 20);
  }

  private static GasCheckSaid level(double gap, double out, double celsius) {
    return new GasCheckSaid.Level(gap, OptionalDouble.of(out), OptionalDouble.of(celsius));
  }

  private void taken(GasCheckSaid step, int secondsAgo) {
    guides.write(job, step, Duration.ofSeconds(secondsAgo), by);
  }
}
